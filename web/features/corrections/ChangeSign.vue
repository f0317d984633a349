<script setup lang="ts">
import { changeNames, type Change } from '@wax-fist/core/correction';

const { change } = defineProps<{ change: Change }>();
const shapes: Record<Change, string> = {
  /* Faults go down, or up. */
  better: 'M8 14L2 7h3.6V2h4.8v5H14z',
  worse: 'M8 2l6 7h-3.6v5H5.6V9H2z',
  'no-clear-change': 'M1 6.8c2.4-2.6 4.6-2.6 7 0s4.6 2.6 7 0v2.8c-2.4 2.6-4.6 2.6-7 0s-4.6-2.6-7 0z',
  'too-few': 'M2 10a2 2 0 1 0 0-4 2 2 0 0 0 0 4zm6 0a2 2 0 1 0 0-4 2 2 0 0 0 0 4zm6 0a2 2 0 1 0 0-4 2 2 0 0 0 0 4z',
};
</script>

<template>
  <span class="change" :class="change" :data-change="change">
    <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true"><path :d="shapes[change]" fill="currentColor" /></svg>
    {{ changeNames[change] }}
  </span>
</template>

<style scoped>
.change {
  display: inline-flex;
  align-items: center;
  gap: var(--space-1-5);
  font-weight: 700;
  white-space: nowrap;
}
.better {
  color: var(--clean);
}
.worse {
  color: var(--fault);
}
.no-clear-change,
.too-few {
  color: var(--cant-see);
}
</style>
