<script setup lang="ts">
import { useRafFn } from '@vueuse/core';
import { range } from 'd3-array';
import { onBeforeUnmount, ref, watch } from 'vue';
import type { FrameSource } from './frame-source.ts';

/** A few frames of a film, played again and again at half their speed, small. */
const { source, timeline, from, to, height } = defineProps<{
  source: FrameSource;
  timeline: Float64Array;
  from: number;
  to: number;
  height: number;
}>();
const emit = defineEmits<{ around: [times: number] }>();
const speed = 0.5;
/** The last frame stands for a moment, in milliseconds, so that one sees where it begins again. */
const rest = 600;
const canvas = ref<HTMLCanvasElement>();
const shown = ref(-1);
let pictures: ImageBitmap[] = [];
let begun = 0;
let around = 0;
let loading = new AbortController();

function letGo(): void {
  loading.abort();
  for (const picture of pictures) picture.close();
  pictures = [];
}
const { pause, resume } = useRafFn(
  ({ timestamp }) => {
    begun ||= timestamp;
    const lasts = timeline[to]! - timeline[from]!;
    const round = lasts + rest * speed;
    const times = Math.floor(((timestamp - begun) * speed) / round);
    if (times > around) emit('around', (around = times));
    const at = timeline[from]! + (((timestamp - begun) * speed) % round);
    const index = range(from, to + 1).findLast((frame) => timeline[frame]! <= at) ?? from;
    const picture = pictures[index - from];
    if (!picture || index === shown.value || !canvas.value) return;
    canvas.value.width = picture.width;
    canvas.value.height = picture.height;
    canvas.value.getContext('2d', { alpha: false })?.drawImage(picture, 0, 0);
    shown.value = index;
  },
  { immediate: false },
);
watch(
  () => [source, from, to] as const,
  async () => {
    pause();
    letGo();
    loading = new AbortController();
    const { signal } = loading;
    const high = height * Math.min(2, window.devicePixelRatio);
    const mine: ImageBitmap[] = [];
    // One after the other: a source reads on faster than it jumps.
    for (const index of range(from, to + 1)) {
      const picture = await source.still(index, high, signal).catch(() => undefined);
      if (!picture || signal.aborted) {
        for (const one of mine) one.close();
        picture?.close();
        return;
      }
      mine.push(picture);
    }
    [pictures, begun, around] = [mine, 0, 0];
    resume();
  },
  { immediate: true },
);
onBeforeUnmount(letGo);
</script>

<template>
  <canvas ref="canvas" :data-frame="shown" />
</template>

<style scoped>
canvas {
  width: 100%;
  height: 100%;
  object-fit: cover;
  display: block;
}
</style>
