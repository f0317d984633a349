<script setup lang="ts">
import type { FaultRate } from '@wax-fist/core/correction';
import { computed } from 'vue';
import { rateInWords } from '../../app/format.ts';

/** A fault rate as a mark on the band of its interval, from 0 to 100%, with the target as a line. */
const { rate, target = undefined } = defineProps<{ rate: FaultRate; target?: number }>();
const at = (share: number): string => `${share * 100}%`;
const spread = computed(() => ({ left: at(rate.low), width: at(rate.high - rate.low) }));
</script>

<template>
  <span class="track" :class="{ few: !rate.enough }" role="img" :aria-label="rateInWords(rate)" :title="rateInWords(rate)">
    <i v-if="rate.seen > 0" class="spread" :style="spread" />
    <i v-if="target !== undefined" class="target" :style="{ left: at(target) }" />
    <i v-if="rate.seen > 0" class="mark" :style="{ left: at(rate.rate) }" />
  </span>
</template>

<style scoped>
.track {
  position: relative;
  display: block;
  height: 14px;
  min-width: 80px;
  background: linear-gradient(var(--line), var(--line)) center / 100% 1px no-repeat;
}
.track i {
  position: absolute;
  top: 0;
  bottom: 0;
}
.spread {
  background: var(--quiet);
  opacity: 0.38;
  top: 3px;
  bottom: 3px;
  border-radius: 1px;
}
.few .spread {
  background: none;
  border: 1px dashed var(--quiet);
  opacity: 0.8;
}
.mark {
  width: 4px;
  margin-left: -2px;
  background: rgb(var(--v-theme-on-surface));
}
.few .mark {
  opacity: 0.5;
}
.target {
  width: 0;
  border-left: 2px dotted var(--clean);
}
</style>
