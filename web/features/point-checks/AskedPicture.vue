<script setup lang="ts">
import type { AskedPoint } from '@wax-fist/contract/point-checks';
import type { Px } from '@wax-fist/core/units';
import { computed, ref, watch } from 'vue';
import type { Place } from './use-point-check.ts';
import { pointChecksWords as words } from './words.ts';

/** The body in whose picture a point is asked for, as large as there is room; what is clicked on is the place. */
const { asked, still, place, name } = defineProps<{
  asked: AskedPoint;
  still: ImageBitmap | undefined;
  place: Place | undefined;
  name: string;
}>();
const emit = defineEmits<{ put: [Place] }>();
const canvas = ref<HTMLCanvasElement>();
/** A hand may be where nobody found it. */
const roomRound = 0.2;
const sharp = 3;

const box = computed(() => {
  const { x, y, width, height } = asked.box;
  const [left, top] = [Math.max(0, x - roomRound * height), Math.max(0, y - (roomRound / 2) * height)];
  const right = Math.min(asked.film.width!, x + width + roomRound * height);
  const bottom = Math.min(asked.film.height!, y + (1 + roomRound / 2) * height);
  return { x: left, y: top, width: right - left, height: bottom - top };
});
const shape = computed(() => {
  const ratio = box.value.width / box.value.height;
  return { aspectRatio: `${ratio}`, width: `min(100%, calc((100vh - 150px) * ${ratio}))` };
});
function draw(): void {
  const context = canvas.value?.getContext('2d', { alpha: false });
  if (!context || !canvas.value) return;
  const { x, y, width, height } = box.value;
  canvas.value.width = Math.round(sharp * width);
  canvas.value.height = Math.round(sharp * height);
  if (still) context.drawImage(still, x, y, width, height, 0, 0, canvas.value.width, canvas.value.height);
}
watch([() => still, canvas], draw, { flush: 'post', immediate: true });

function put({ clientX, clientY, currentTarget, buttons }: PointerEvent): void {
  if (buttons !== 1 || !still) return;
  const { left, top, width, height } = (currentTarget as Element).getBoundingClientRect();
  const { x, y, width: across, height: down } = box.value;
  const within = (value: number): Px => Math.max(0, Math.min(1, value));
  emit('put', { x: x + within((clientX - left) / width) * across, y: y + within((clientY - top) / height) * down });
}
</script>

<template>
  <div class="asked" :style="shape" @pointerdown="put" @pointermove="put">
    <canvas ref="canvas" role="img" :aria-label="words.aBodyWhereIsThe(name)" :class="{ waiting: !still }" />
    <svg v-if="place" :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`" aria-hidden="true">
      <g :transform="`translate(${place.x} ${place.y}) scale(${box.height / 600})`">
        <circle r="11" />
        <path d="M-26 0h15M11 0h15M0-26v15M0 11v15" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.asked {
  position: relative;
  margin-inline: auto;
  background: var(--picture);
  cursor: crosshair;
  touch-action: none;
  user-select: none;
}
canvas,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.waiting {
  opacity: 0.3;
}
svg {
  pointer-events: none;
}
circle,
path {
  fill: none;
  stroke: var(--pinned);
  stroke-width: 2.5;
}
</style>
