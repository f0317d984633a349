<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue';
import type { FrameSource } from './frame-source.ts';

/** A small picture of one frame. */
const { source, index, height } = defineProps<{ source: FrameSource; index: number; height: number }>();
const canvas = ref<HTMLCanvasElement>();
const shown = ref(-1);
let latest = new AbortController();

watch(
  () => index,
  async (wanted) => {
    latest.abort();
    latest = new AbortController();
    const { signal } = latest;
    const still = await source.still(wanted, height * Math.min(2, window.devicePixelRatio), signal).catch(() => undefined);
    if (!still) return;
    if (!signal.aborted && canvas.value) {
      canvas.value.width = still.width;
      canvas.value.height = still.height;
      canvas.value.getContext('2d', { alpha: false })?.drawImage(still, 0, 0);
      shown.value = wanted;
    }
    still.close();
  },
  { immediate: true, flush: 'post' },
);
onBeforeUnmount(() => latest.abort());
</script>

<template>
  <canvas ref="canvas" :data-frame="shown" :class="{ waiting: shown !== index }" />
</template>

<style scoped>
canvas {
  width: 100%;
  height: 100%;
  object-fit: cover;
  display: block;
}
.waiting {
  opacity: 0.5;
}
</style>
