<script setup lang="ts">
import { computed } from 'vue';

/** A share as a mark on the band of its interval, from 0 to 1, with a line to hold it against; none as long as nothing is known. */
const {
  figure = undefined,
  says,
  line = undefined,
} = defineProps<{
  figure?: { value: number; low: number; high: number };
  says: string;
  line?: number;
  /** Too little was seen to say it. */
  few?: boolean;
}>();
const within = (value: number): number => Math.min(1, Math.max(0, value));
const at = (value: number): string => `${within(value) * 100}%`;
const spread = computed(() => figure && { left: at(figure.low), width: at(within(figure.high) - within(figure.low)) });
</script>

<template>
  <span class="track" :class="{ few }" role="img" :aria-label="says" :title="says">
    <i v-if="figure" class="spread" :style="spread" />
    <i v-if="line !== undefined" class="line" :style="{ left: at(line) }" />
    <i v-if="figure" class="mark" :style="{ left: at(figure.value) }" />
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
.line {
  width: 0;
  border-left: 2px dotted var(--clean);
}
</style>
