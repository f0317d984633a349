<script setup lang="ts">
import { mdiAlertOutline, mdiCheck, mdiClockOutline } from '@mdi/js';
import { clockTime } from '@wax-fist/core/words';
import { computed } from 'vue';
import type { PlanDesk } from './use-plan-desk.ts';
import { plansWords as words } from './words.ts';

/** What a plan comes to, what it breaks, and what is not in it. */
const { desk } = defineProps<{ desk: PlanDesk }>();
const free = computed(() => desk.length.value - desk.takes.value);
</script>

<template>
  <section class="sums" :aria-label="words.whatItComesTo">
    <dl class="number">
      <div :class="{ over: desk.takes.value > desk.length.value }">
        <dt>{{ words.takes }}</dt>
        <dd>{{ clockTime(desk.takes.value) }}<small>{{ words.ofLength(clockTime(desk.length.value)) }}</small></dd>
      </div>
      <div :class="{ over: desk.hits.value > desk.rules.value.impactASession }">
        <dt>{{ words.hardRounds }}</dt>
        <dd>{{ desk.hits.value }}<small>{{ words.ofLength(desk.rules.value.impactASession) }}</small></dd>
      </div>
      <div>
        <dt>{{ words.usualLeadOther }}</dt>
        <dd>{{ clockTime(desk.leadWork.value.usual) }}, {{ clockTime(desk.leadWork.value.other) }}</dd>
      </div>
    </dl>
    <ul class="problems" :aria-label="words.whatItBreaks">
      <li v-for="{ part, hard, says } in desk.problems.value" :key="`${part} ${says}`" :class="{ hard }">
        <VIcon :icon="mdiAlertOutline" size="18" /> {{ says }}
      </li>
      <li v-if="free > 300 && desk.parts.value.length > 0">
        <VIcon :icon="mdiClockOutline" size="18" /> {{ words.ofItStayFreeAdd(clockTime(free)) }}
      </li>
      <li v-if="desk.problems.value.length === 0" class="fine">
        <VIcon :icon="mdiCheck" size="18" /> {{ words.itKeepsEveryRule }}
      </li>
    </ul>
    <template v-if="desk.leftOut.value.length > 0">
      <h2>{{ words.leftOut }}</h2>
      <ul class="left" :aria-label="words.things(desk.leftOut.value.length)">
        <li v-for="{ what, why } in desk.leftOut.value" :key="what"><b>{{ what }}</b> {{ why }}</li>
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
