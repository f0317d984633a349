<script setup lang="ts">
import { mdiVideoPlus } from '@mdi/js';
import type { Plan } from '@wax-fist/contract/plans';
import { rungName } from '@wax-fist/core/correction';
import { clockTime, shortDay } from '@wax-fist/core/words';
import { computed } from 'vue';
import { plansWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What was done of a plan, against what was planned, and where its films go. */
const { plan } = defineProps<{ plan: Plan }>();
const rows = computed(() => plan.parts.map((part, place) => ({ part, done: plan.log!.done.find((one) => one.part === place) })));
const worked = computed(() => plan.log!.done.reduce((sum, one) => sum + one.worked, 0));
</script>

<template>
  <section>
    <p>
      <TextWith :text="words.doneOnOfWork(shortDay(plan.log!.doneOn), plan.impact)">
        <template #worked>
          <b class="number">{{ clockTime(worked) }}</b>
        </template>
      </TextWith>
    </p>
    <ol class="list">
      <li v-for="{ part, done } in rows" :key="part.id" :class="{ quiet: !done }">
        <b>{{ part.title }}</b>
        <span class="number">{{ words.ofRound(done?.rounds ?? 0, part.rounds, clockTime(done?.worked ?? 0)) }}</span>
      </li>
    </ol>
    <template v-if="plan.sessions.length > 0">
      <h2>{{ words.itsFilms }}</h2>
      <p v-for="one in plan.sessions" :key="one.sessionId">
        <VBtn variant="outlined" :prepend-icon="mdiVideoPlus" :to="{ name: 'session', params: { sessionId: one.sessionId } }">{{
          words.onAtRung(one.roundKind, one.rung, rungName(one.rung).toLowerCase())
        }}</VBtn>
      </p>
    </template>
  </section>
</template>

<style scoped>
li {
  display: flex;
  justify-content: space-between;
  gap: var(--space-4);
  padding: var(--space-2) var(--space-3);
}
ol {
  margin-top: var(--space-2);
}
</style>
