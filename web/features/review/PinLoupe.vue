<script setup lang="ts">
import type { Px } from '@wax-fist/core/units';
import { computed, ref, watch } from 'vue';
import type { Pins } from './use-pins.ts';

/** The place of the point in hand, magnified, in the corner that is further from it. */
const { pins, picture, width } = defineProps<{ pins: Pins; picture: HTMLCanvasElement | undefined; width: Px }>();
const glass = ref<HTMLCanvasElement>();
const side: Px = 200;
const times = 4;

const { picked } = pins;
const onLeft = computed(() => (picked.value?.x ?? 0) > width / 2);

function look(): void {
  const context = glass.value?.getContext('2d');
  if (!context || !picture || !picked.value) return;
  const piece = side / times;
  const { x, y } = picked.value;
  context.fillRect(0, 0, side, side);
  context.drawImage(picture, x - piece / 2, y - piece / 2, piece, piece, 0, 0, side, side);
}
// The picture of a frame is painted a little after the playhead is there.
watch([picked, glass, pins.frame], () => requestAnimationFrame(look), { flush: 'post', immediate: true });
defineExpose({ look });
</script>

<template>
  <figure v-if="picked" class="loupe" :class="{ left: onLeft }">
    <canvas ref="glass" :width="side" :height="side" role="img" :aria-label="`The ${picked.name}, ${times} times as large`" />
    <figcaption>{{ picked.name }}</figcaption>
  </figure>
</template>

<style scoped>
.loupe {
  position: absolute;
  right: 8px;
  top: 8px;
  width: 200px;
  border: 2px solid #ffd27a;
  border-radius: 4px;
  background: #0a0a0a;
}
.loupe.left {
  right: auto;
  left: 8px;
}
.loupe::before,
.loupe::after {
  content: '';
  position: absolute;
  background: #ffd27a;
  box-shadow: 0 0 0 1px #0008;
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
  padding: 2px 8px;
  color: #fff;
  font-size: 13px;
}
</style>
