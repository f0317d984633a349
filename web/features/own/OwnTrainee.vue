<script setup lang="ts">
import { mdiCardTextOutline, mdiTimerPlay } from '@mdi/js';
import type { OwnTrainee } from '@wax-fist/contract/own';
import { clockTime, localDay, shortDay } from '@wax-fist/core/words';
import ReviewRows from './ReviewRows.vue';
import { ownWords as words } from './words.ts';

/** What was released of one trainee, and what is planned for them. */
defineProps<{ person: OwnTrainee }>();
const today = localDay();
const dayWord = (day: string): string => (day === today ? words.today : shortDay(day));
</script>

<template>
  <section :aria-label="person.name">
    <h1>{{ person.name }}</h1>

    <h2>{{ words.thinkOf }}</h2>
    <ul v-if="person.corrections.length > 0" class="list">
      <li v-for="one in person.corrections" :key="one.id" class="entry">
        <div>
          <p class="cue">{{ one.cue }}</p>
          <p>
            {{ one.technique }}: {{ one.name.toLowerCase() }}
            <span class="quiet">· {{ one.recheckOn ? words.lookedAtAgainOn(shortDay(one.recheckOn)) : words.noDaySetYet }}</span>
          </p>
        </div>
        <VBtn
          variant="outlined"
          :prepend-icon="mdiCardTextOutline"
          :to="{ name: 'own-card', params: { correctionId: one.id } }"
          >{{ words.card }}</VBtn
        >
      </li>
    </ul>
    <p v-else class="empty">{{ words.nothingToCorrectWasHanded }}</p>

    <h2>{{ words.doNext }}</h2>
    <ul v-if="person.plans.length > 0" class="list">
      <li v-for="plan in person.plans" :key="plan.id" class="entry">
        <div>
          <p>
            <b>{{ dayWord(plan.plannedOn) }}</b>
          </p>
          <p class="quiet"><span class="number">{{ clockTime(plan.length) }}</span>, {{ words.parts(plan.parts) }}</p>
        </div>
        <VBtn color="primary" :prepend-icon="mdiTimerPlay" :to="{ name: 'own-plan', params: { planId: plan.id } }">{{
          words.train
        }}</VBtn>
      </li>
    </ul>
    <p v-else class="empty">{{ words.noSessionIsPlannedIt }}</p>

    <h2>{{ words.reviews }}</h2>
    <ReviewRows v-if="person.sessions.length > 0" :reviews="person.sessions" />
    <p v-else class="empty">{{ words.noReviewWasHandedOver }}</p>
  </section>
</template>

<style scoped>
section + section {
  margin-top: 48px;
}
.cue {
  font-size: var(--type-figure);
  font-weight: 700;
  line-height: 1.2;
}
</style>
