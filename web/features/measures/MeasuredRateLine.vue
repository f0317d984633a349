<script setup lang="ts">
import type { MeasuredRateOfSession } from '@wax-fist/contract/measures';
import { computed } from 'vue';
import { measuredRateInWords } from './rate-words.ts';
import { measuresWords as words } from './words.ts';

/** What measures alone say of a rate: hollow, so that nobody takes it for a coach's word. */
const { rate, measure, stature } = defineProps<{ rate: MeasuredRateOfSession; measure: string; stature: number | null }>();
const at = (share: number): string => `${share * 100}%`;
const told = computed(() => words.measuredRate(measuredRateInWords(rate, measure, stature)));
</script>

<template>
  <span class="line">
    <span class="track" role="img" :aria-label="told">
      <i class="spread" :style="{ left: at(rate.low), width: at(rate.high - rate.low) }" />
      <i class="mark" :style="{ left: at(rate.rate) }" />
    </span>
    <span class="number words">{{ told }}<template v-if="rate.counts">{{ words.counts }}</template></span>
  </span>
</template>

<style scoped>
.line {
  display: grid;
  /* As a rate and its words stand, so that both are read on one scale. */
  grid-template-columns: minmax(120px, 1fr) 118px;
  gap: 1px var(--space-3);
}
.track {
  position: relative;
  display: block;
  height: 10px;
  min-width: 80px;
}
.track i {
  position: absolute;
  top: 1px;
  bottom: 1px;
}
.spread {
  border: 1px solid var(--quiet);
  border-radius: 1px;
}
.mark {
  width: 0;
  border-left: 2px solid rgb(var(--v-theme-primary));
  margin-left: -1px;
}
.words {
  grid-column: 1 / -1;
  font-size: var(--type-small);
  color: var(--quiet);
}
</style>
