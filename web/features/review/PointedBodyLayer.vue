<script setup lang="ts">
import type { Px } from '@wax-fist/core/units';
import { computed, ref } from 'vue';
import { placeInPicture } from './place-in-picture.ts';
import type { Place } from '@wax-fist/core/measure';
import type { WhoseBody } from './use-pointed-body.ts';
import { reviewWords as words } from './words.ts';

/** The square round whoever is to be followed, drawn with the pointer over the picture; all else is darkened. */
const { whose, width, height } = defineProps<{ whose: WhoseBody; width: Px; height: Px }>();
const layer = ref<SVGSVGElement>();
let corner: Place | undefined;

const placeOf = (event: PointerEvent): Place => placeInPicture(event, layer.value!, { width, height });
function begin(event: PointerEvent): void {
  corner = placeOf(event);
  layer.value!.setPointerCapture(event.pointerId);
}
function reach(event: PointerEvent): void {
  if (corner && event.buttons === 1) whose.draw(corner, placeOf(event));
}
/** A press that goes nowhere draws nothing. */
const leastDrag: Px = 12;
function end(event: PointerEvent): void {
  const to = placeOf(event);
  const drawn = corner && Math.hypot(to.x - corner.x, to.y - corner.y) >= leastDrag;
  corner = undefined;
  if (drawn) void whose.follow();
}
const box = computed(() => {
  const { x, y, side } = whose.square.value;
  return { x: x - side / 2, y: y - side / 2, width: side, height: side };
});
const around = computed(() => {
  const { x, y, width: side } = box.value;
  return `M0 0H${width}V${height}H0ZM${x} ${y}v${side}h${side}v${-side}z`;
});
</script>

<template>
  <svg
    ref="layer"
    class="laid-over"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="words.squareRoundWhoeverIsTo"
    @pointerdown.stop.prevent="begin"
    @pointermove.stop="reach"
    @pointerup.stop="end"
    @pointercancel="corner = undefined"
    @dblclick.stop
  >
    <path :d="around" />
    <rect v-bind="box" rx="6" />
  </svg>
</template>

<style scoped>
svg {
  overflow: hidden;
  cursor: crosshair;
  touch-action: none;
}
path {
  fill: var(--shade);
}
rect {
  fill: none;
  stroke: var(--pinned);
  stroke-width: 2;
  stroke-dasharray: 8 6;
  vector-effect: non-scaling-stroke;
}
</style>
