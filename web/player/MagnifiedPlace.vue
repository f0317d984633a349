<script setup lang="ts">
import type { Px } from '@wax-fist/core/units';
import { computed, ref, watch } from 'vue';
import { playerWords as words } from './words.ts';

/** A place of a picture, magnified; over the picture it lies in the corner that is further from that place. */
const { place, picture, over, frame } = defineProps<{
  place: { name: string; x: Px; y: Px };
  picture: CanvasImageSource | undefined;
  /** How wide the picture is that it lies over; left out where it stands by itself. */
  over?: Px;
  /** Which picture it is: looked at anew when it changes. */
  frame: number;
}>();
const glass = ref<HTMLCanvasElement>();
const side: Px = 200;
const times = 4;

const corner = computed(() => over !== undefined && (place.x > over / 2 ? 'left' : 'right'));

function look(): void {
  const context = glass.value?.getContext('2d');
  if (!context || !picture) return;
  const piece = side / times;
  const { x, y } = place;
  context.fillRect(0, 0, side, side);
  context.drawImage(picture, x - piece / 2, y - piece / 2, piece, piece, 0, 0, side, side);
}
// The picture of a frame is painted a little after the playhead is there.
watch([() => place, glass, () => frame, () => picture], () => requestAnimationFrame(look), { flush: 'post', immediate: true });
</script>

<template>
  <figure class="loupe" :class="corner">
    <canvas ref="glass" :width="side" :height="side" role="img" :aria-label="words.theTimesAsLarge(place.name, times)" />
    <figcaption>{{ place.name }}</figcaption>
  </figure>
</template>

<style scoped>
.loupe {
  position: relative;
  width: 200px;
  border: 2px solid var(--pinned);
  border-radius: 4px;
  background: var(--picture);
}
.left,
.right {
  position: absolute;
  top: 8px;
}
.left {
  left: 8px;
}
.right {
  right: 8px;
}
.loupe::before,
.loupe::after {
  content: '';
  position: absolute;
  background: var(--pinned);
  box-shadow: 0 0 0 1px var(--shade);
}
.loupe::before {
  left: 98px;
  top: 84px;
  width: 1px;
  height: 29px;
}
.loupe::after {
  left: 84px;
  top: 98px;
  width: 29px;
  height: 1px;
}
canvas {
  display: block;
  width: 100%;
}
figcaption {
  padding: var(--space-0-5) var(--space-2);
  color: var(--white);
  font-size: var(--type-note);
}
</style>
