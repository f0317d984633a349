<script setup lang="ts">
import { mdiCardTextOutline, mdiTimerPlay } from '@mdi/js';
import type { OwnTrainee } from '@wax-fist/contract/own';
import { clockTime, counted, localDay, shortDay } from '@wax-fist/core/words';
import ReviewRows from './ReviewRows.vue';

/** What was released of one trainee, and what is planned for them. */
defineProps<{ person: OwnTrainee }>();
const today = localDay();
const dayWord = (day: string): string => (day === today ? 'Today' : shortDay(day));
</script>

<template>
  <section :aria-label="person.name">
    <h1>{{ person.name }}</h1>

    <h2>Think of</h2>
    <ul v-if="person.corrections.length > 0" class="list">
      <li v-for="one in person.corrections" :key="one.id" class="entry">
        <div>
          <p class="cue">{{ one.cue }}</p>
          <p>
            {{ one.technique }}: {{ one.name.toLowerCase() }}
            <span class="quiet">· {{ one.recheckOn ? `looked at again on ${shortDay(one.recheckOn)}` : 'no day set yet' }}</span>
          </p>
        </div>
        <VBtn variant="outlined" :prepend-icon="mdiCardTextOutline" :to="{ name: 'own-card', params: { correctionId: one.id } }"
          >Card</VBtn
        >
      </li>
    </ul>
    <p v-else class="empty">Nothing to correct was handed over yet.</p>

    <h2>Do next</h2>
    <ul v-if="person.plans.length > 0" class="list">
      <li v-for="plan in person.plans" :key="plan.id" class="entry">
        <div>
          <p>
            <b>{{ dayWord(plan.plannedOn) }}</b>
          </p>
          <p class="quiet">
            <span class="number">{{ clockTime(plan.length) }}</span>, {{ counted(plan.parts, 'part') }}
          </p>
        </div>
        <VBtn color="primary" :prepend-icon="mdiTimerPlay" :to="{ name: 'own-plan', params: { planId: plan.id } }">Train</VBtn>
      </li>
    </ul>
    <p v-else class="empty">No session is planned. It stands here once the coach has planned one.</p>

    <h2>Reviews</h2>
    <ReviewRows v-if="person.sessions.length > 0" :reviews="person.sessions" />
    <p v-else class="empty">No review was handed over yet.</p>
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
