<script setup lang="ts">
import { mdiVideoPlus } from '@mdi/js';
import type { Plan } from '@wax-fist/contract/plans';
import { rungName } from '@wax-fist/core/correction';
import { clockTime, counted, shortDay } from '@wax-fist/core/words';
import { computed } from 'vue';

/** What was done of a plan, against what was planned, and where its films go. */
const { plan } = defineProps<{ plan: Plan }>();
const rows = computed(() => plan.parts.map((part, place) => ({ part, done: plan.log!.done.find((one) => one.part === place) })));
const worked = computed(() => plan.log!.done.reduce((sum, one) => sum + one.worked, 0));
</script>

<template>
  <section>
    <p>
      Done on {{ shortDay(plan.log!.doneOn) }}: <b class="number">{{ clockTime(worked) }}</b> of work,
      {{ counted(plan.impact, 'hard round') }}.
    </p>
    <ol class="list">
      <li v-for="{ part, done } in rows" :key="part.id" :class="{ quiet: !done }">
        <b>{{ part.title }}</b>
        <span class="number"
          >{{ done?.rounds ?? 0 }} of {{ counted(part.rounds, 'round') }}, {{ clockTime(done?.worked ?? 0) }}</span
        >
      </li>
    </ol>
    <template v-if="plan.sessions.length > 0">
      <h2>Its films</h2>
      <p v-for="one in plan.sessions" :key="one.sessionId">
        <VBtn variant="outlined" :prepend-icon="mdiVideoPlus" :to="{ name: 'session', params: { sessionId: one.sessionId } }"
          >{{ one.roundKind }}, rung {{ one.rung }}: {{ rungName(one.rung).toLowerCase() }}</VBtn
        >
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
