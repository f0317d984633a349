<script setup lang="ts">
import type { Track } from '@wax-fist/core/body';
import { computed } from 'vue';
import { bodyPieces } from './drawn-body.ts';
import { compareWords as words } from './words.ts';

/** A body at one frame, drawn with its limbs as thick as they are; what lies further away is darker. */
const { body, frame, picture } = defineProps<{
  body: Track;
  frame: number;
  picture: { width: number; height: number };
}>();
const pieces = computed(() => bodyPieces(body, frame));
const shadeOf = (place: number): string => `hsl(40 14% ${52 + (28 * place) / Math.max(1, pieces.value.length - 1)}%)`;
</script>

<template>
  <svg :viewBox="`0 0 ${picture.width} ${picture.height}`" role="img" :aria-label="words.aDrawnBody">
    <polyline
      v-for="({ name, points, thick, filled, glove }, place) in pieces"
      :key="name"
      :points="filled ? `${points} ${points.split(' ')[0]}` : points"
      class="piece"
      :class="{ glove }"
      :fill="filled ? shadeOf(place) : 'none'"
      :stroke="glove ? undefined : shadeOf(place)"
      :stroke-width="thick"
    />
    <slot />
  </svg>
</template>

<style scoped>
svg {
  overflow: visible;
}
.piece {
  stroke-linecap: round;
  stroke-linejoin: round;
}
.glove {
  stroke: var(--drawn-skin);
}
</style>
