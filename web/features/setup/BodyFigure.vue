<script setup lang="ts">
import type { Centimetres } from '@wax-fist/core/units';

/** Somebody of this stature, to scale in centimetres, feet at the origin, seen from the side they face to the right. */
defineProps<{ stature: Centimetres; armOut?: Centimetres }>();
</script>

<template>
  <!-- Shares of the stature, as the table of the core has them: chin 0.87, shoulder 0.818, hip 0.53, knee 0.285. -->
  <g class="figure" :transform="`scale(${stature / 100})`">
    <ellipse cx="1" cy="-93.5" rx="4.6" ry="6.5" />
    <path d="M-3 -86 L4 -86 L7 -80 L8 -62 L6 -52 L-6 -52 L-8 -66 L-7 -80 Z" />
    <path d="M-6 -53 L5 -53 L9 -29 L6 -3 L11 0 L1 0 L0 -28 L-2 -46 L-9 -27 L-12 -3 L-6 0 L-16 0 L-16 -3 L-15 -29 Z" />
    <path v-if="armOut" class="arm" :d="`M2 -80.5 L${((armOut / stature) * 100).toFixed(1)} -80.5`" />
  </g>
</template>

<style scoped>
.figure {
  fill: var(--drawn);
}
.arm {
  fill: none;
  stroke: var(--drawn);
  stroke-width: 4.4;
  stroke-linecap: round;
}
</style>
