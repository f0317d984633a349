<script setup lang="ts">
import { verdictNames, type Verdict } from '@wax-fist/core/review';
import { computed } from 'vue';
import { reviewWords as words } from './words.ts';

/** Nothing said yet when there is no verdict. */
const {
  verdict,
  size = 18,
  proposed = false,
} = defineProps<{
  verdict?: Verdict | null;
  size?: number;
  /** Not said by a coach: drawn as an outline. */ proposed?: boolean;
}>();
const name = computed(() => (verdict ? `${proposed ? words.proposed : ''}${verdictNames[verdict]}` : words.open));
</script>

<template>
  <svg
    class="verdict"
    :class="[verdict ?? 'none', { proposed }]"
    :width="size"
    :height="size"
    viewBox="0 0 18 18"
    role="img"
    :aria-label="name"
  >
    <title>{{ name }}</title>
    <template v-if="verdict === 'clean'">
      <circle cx="9" cy="9" r="8" fill="currentColor" />
      <path d="M5 9.4l2.8 2.8L13.2 6.4" fill="none" class="cut" stroke-width="2.2" />
    </template>
    <template v-else-if="verdict === 'watch'">
      <path d="M9 1l8 8-8 8-8-8z" fill="none" stroke="currentColor" stroke-width="2" />
      <path d="M9 2.5L15.5 9H2.5z" fill="currentColor" />
    </template>
    <template v-else-if="verdict === 'fault'">
      <rect x="1" y="1" width="16" height="16" rx="1.5" fill="currentColor" />
      <path d="M5.4 5.4l7.2 7.2m0-7.2l-7.2 7.2" fill="none" class="cut" stroke-width="2.4" />
    </template>
    <path
      v-else-if="verdict === 'cant-see'"
      d="M3 9h12"
      fill="none"
      stroke="currentColor"
      stroke-width="2.4"
      stroke-dasharray="3 1.6"
    />
    <circle v-else cx="9" cy="9" r="3" fill="none" stroke="currentColor" stroke-width="1.6" />
  </svg>
</template>

<style scoped>
.verdict {
  flex: none;
}
.clean {
  color: var(--clean);
}
.watch {
  color: var(--watch);
}
.fault {
  color: var(--fault);
}
.cant-see {
  color: var(--cant-see);
}
.none {
  color: var(--cant-see);
  opacity: 0.7;
}
/* An outline in short strokes: nobody has said it yet. */
.proposed circle,
.proposed rect,
.proposed path {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.6;
  stroke-dasharray: 2.4 1.6;
}
.cut {
  stroke: rgb(var(--v-theme-surface));
}
</style>
