<script setup lang="ts">
import type { Bounded } from '@wax-fist/core/review';
import { computed } from 'vue';

/** A figure as a mark on the band of its interval, from 0 to 1; what lies below 0 is worse than chance. */
const { figure, says, line = undefined } = defineProps<{ figure: Bounded; says: string; line?: number }>();
const within = (value: number): number => Math.min(1, Math.max(0, value));
const at = (value: number): string => `${within(value) * 100}%`;
const spread = computed(() => ({ left: at(figure.low), width: at(within(figure.high) - within(figure.low)) }));
</script>

<template>
  <span class="track" role="img" :aria-label="says" :title="says">
    <i class="spread" :style="spread" />
    <i v-if="line !== undefined" class="line" :style="{ left: at(line) }" />
    <i class="mark" :style="{ left: at(figure.value) }" />
  </span>
</template>

<style scoped>
.track {
  position: relative;
  display: block;
  height: 14px;
  min-width: 90px;
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
  margin: 3px 0;
}
.mark {
  width: 4px;
  margin-left: -2px;
  background: rgb(var(--v-theme-on-surface));
}
.line {
  border-left: 2px dotted var(--clean);
}
</style>
