<script setup lang="ts">
import type { Px } from '@wax-fist/core/units';
import { nextTick, ref, watch } from 'vue';
import { placeInPicture } from './place-in-picture.ts';
import type { Place } from '@wax-fist/core/measure';
import type { Pins, PointInHand } from './use-pins.ts';
import { reviewWords as words } from './words.ts';

/** The points of the body over the picture, to be taken hold of with the pointer or the keyboard. */
const { pins, width, height } = defineProps<{ pins: Pins; width: Px; height: Px }>();
const layer = ref<SVGSVGElement>();
/** From the pointer to the middle of what it took, so that nothing jumps. */
let grip: { dx: Px; dy: Px } | undefined;

const placeOf = (event: PointerEvent): Place => placeInPicture(event, layer.value!, { width, height });
function take(event: PointerEvent, { point, x, y }: PointInHand): void {
  pins.pick(point);
  const at = placeOf(event);
  grip = { dx: x - at.x, dy: y - at.y };
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
}
function move(event: PointerEvent): void {
  if (!grip || event.buttons !== 1) return;
  const at = placeOf(event);
  pins.move({ x: at.x + grip.dx, y: at.y + grip.dy });
}
function drop(): void {
  grip = undefined;
  pins.putDown();
}
/** Whichever way a point is picked, the focus goes with it. */
watch(
  () => pins.picked.value?.point,
  (point) => void nextTick(() => layer.value?.querySelector<SVGElement>(point ? `[data-point="${point}"]` : 'none')?.focus()),
  { immediate: true },
);
</script>

<template>
  <svg ref="layer" class="laid-over" :viewBox="`0 0 ${width} ${height}`" role="group" :aria-label="words.pointsOfTheBody">
    <g
      v-for="one in pins.shown.value"
      :key="one.point"
      :transform="`translate(${one.x} ${one.y})`"
      :class="[one.said, { about: one.about, picked: one.point === pins.picked.value?.point }]"
      :data-point="one.point"
      tabindex="0"
      role="button"
      :aria-label="`${one.name}${one.said === 'here' ? words.putRight : one.said === 'hidden' ? ', hidden' : ''}`"
      @focus="pins.pick(one.point)"
      @pointerdown.stop.prevent="take($event, one)"
      @pointermove.stop="move"
      @pointerup.stop="drop"
      @pointercancel="drop"
      @dblclick.stop
    >
      <circle r="14" class="grip" />
      <circle :r="one.about || one.said !== 'free' ? 6 : 4" />
      <path v-if="one.said === 'here'" d="M-3 0 0 3 4-3" />
      <path v-else-if="one.said === 'hidden'" d="M-4-4 4 4M4-4-4 4" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  pointer-events: none;
}
g {
  pointer-events: all;
  cursor: grab;
  outline: none;
}
circle {
  fill: var(--shade-light);
  stroke: var(--chalk);
  stroke-width: 2;
}
.grip {
  fill: transparent;
  stroke: none;
}
.here circle:not(.grip) {
  fill: var(--placed-dark);
  stroke: var(--placed);
}
.hidden circle:not(.grip) {
  stroke-dasharray: 3 3;
}
.about circle:not(.grip) {
  stroke: var(--pinned);
}
.picked .grip,
g:focus-visible .grip {
  stroke: var(--pinned);
  stroke-width: 2;
}
path {
  fill: none;
  stroke: var(--white);
  stroke-width: 2;
}
</style>
