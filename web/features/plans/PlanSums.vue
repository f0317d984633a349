<script setup lang="ts">
import { mdiAlertOutline, mdiCheck, mdiClockOutline } from '@mdi/js';
import { clockTime, counted } from '@wax-fist/core/words';
import { computed } from 'vue';
import type { PlanDesk } from './use-plan-desk.ts';

/** What a plan comes to, what it breaks, and what is not in it. */
const { desk } = defineProps<{ desk: PlanDesk }>();
const free = computed(() => desk.length.value - desk.takes.value);
</script>

<template>
  <section class="sums" aria-label="What it comes to">
    <dl class="number">
      <div :class="{ over: desk.takes.value > desk.length.value }">
        <dt>Takes</dt>
        <dd>
          {{ clockTime(desk.takes.value) }}<small> of {{ clockTime(desk.length.value) }}</small>
        </dd>
      </div>
      <div :class="{ over: desk.hits.value > desk.rules.value.impactASession }">
        <dt>Hard rounds</dt>
        <dd>
          {{ desk.hits.value }}<small> of {{ desk.rules.value.impactASession }}</small>
        </dd>
      </div>
      <div>
        <dt>Usual lead, other</dt>
        <dd>{{ clockTime(desk.leadWork.value.usual) }}, {{ clockTime(desk.leadWork.value.other) }}</dd>
      </div>
    </dl>
    <ul class="problems" aria-label="What it breaks">
      <li v-for="{ part, hard, says } in desk.problems.value" :key="`${part} ${says}`" :class="{ hard }">
        <VIcon :icon="mdiAlertOutline" size="18" /> {{ says }}
      </li>
      <li v-if="free > 300 && desk.parts.value.length > 0">
        <VIcon :icon="mdiClockOutline" size="18" /> {{ clockTime(free) }} of it stay free: add a drill, or a technique of the
        week.
      </li>
      <li v-if="desk.problems.value.length === 0" class="fine"><VIcon :icon="mdiCheck" size="18" /> It keeps every rule.</li>
    </ul>
    <template v-if="desk.leftOut.value.length > 0">
      <h2>Left out</h2>
      <ul class="left" :aria-label="counted(desk.leftOut.value.length, 'thing')">
        <li v-for="{ what, why } in desk.leftOut.value" :key="what">
          <b>{{ what }}</b> {{ why }}
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto auto auto;
  gap: var(--space-1) var(--space-4);
  margin: var(--space-3) 0 var(--space-2);
}
dt {
  font-size: var(--type-note);
  color: var(--quiet);
}
dd {
  font-size: var(--type-title);
}
small {
  font-size: var(--type-text);
  color: var(--quiet);
}
.over dd {
  color: var(--fault);
}
ul {
  font-size: var(--type-text);
}
.hard {
  color: var(--fault);
  font-weight: 700;
}
.fine {
  color: var(--clean);
}
.left li {
  padding: var(--space-1) 0;
}
</style>
