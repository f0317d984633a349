<script setup lang="ts">
import { decimal } from '@wax-fist/core/words';
import { computed, reactive, ref, shallowRef } from 'vue';
import type { PlayableFilm, Picture } from './frame-source.ts';
import { usePlayer, type Player } from './use-player.ts';
import { playerWords as words } from './words.ts';

const {
  film,
  width,
  height,
  begin = 0,
  plays = true,
} = defineProps<{
  film: PlayableFilm;
  width: number;
  height: number;
  /** The frame that is shown first. */
  begin?: number;
  /** Where it is only stepped through, no film is fetched for playing it. */
  plays?: boolean;
}>();
const emit = defineEmits<{ shown: [index: number] }>();

const canvas = ref<HTMLCanvasElement>();
const stage = ref<HTMLElement>();
const shown = shallowRef(-1);
const view = reactive({ zoom: 1, x: 0, y: 0 });
const largest = 8;

function paint({ index, image }: Picture): void {
  canvas.value?.getContext('2d', { alpha: false, willReadFrequently: false })?.drawImage(image, 0, 0, width, height);
  shown.value = index;
  emit('shown', index);
}
const player: Player = usePlayer(film, paint, begin);
const { video, playing } = player;

const transform = computed(() => ({ transform: `translate(${view.x}px, ${view.y}px) scale(${view.zoom})` }));

/** Keeps what is under (x, y) of the stage under it, and the stage covered. */
function zoomTo(zoom: number, x?: number, y?: number): void {
  const box = stage.value!.getBoundingClientRect();
  const [atX, atY] = [x ?? box.width / 2, y ?? box.height / 2];
  const next = Math.max(1, Math.min(largest, zoom));
  view.x = atX - ((atX - view.x) * next) / view.zoom;
  view.y = atY - ((atY - view.y) * next) / view.zoom;
  view.zoom = next;
  keepCovered(box);
}
function keepCovered({ width: wide, height: high }: { width: number; height: number }): void {
  view.x = Math.min(0, Math.max(wide * (1 - view.zoom), view.x));
  view.y = Math.min(0, Math.max(high * (1 - view.zoom), view.y));
}
function onWheel(event: WheelEvent): void {
  const box = stage.value!.getBoundingClientRect();
  zoomTo(view.zoom * Math.exp(-event.deltaY / 400), event.clientX - box.left, event.clientY - box.top);
}
function onDrag(event: PointerEvent): void {
  if (event.buttons !== 1) return;
  view.x += event.movementX;
  view.y += event.movementY;
  keepCovered(stage.value!.getBoundingClientRect());
}

defineExpose({ player, canvas, zoomBy: (factor: number) => zoomTo(view.zoom * factor), zoomOut: () => zoomTo(1) });
</script>

<template>
  <div
    ref="stage"
    class="stage"
    :class="{ zoomed: view.zoom > 1 }"
    @wheel.prevent="onWheel"
    @pointermove="onDrag"
    @dblclick="zoomTo(view.zoom > 1 ? 1 : 2.5, $event.offsetX, $event.offsetY)"
  >
    <div class="moved" :style="transform">
      <canvas
        ref="canvas"
        :width="width"
        :height="height"
        :data-frame="shown"
        role="img"
        :aria-label="words.frameShown(shown + 1)"
      />
      <video v-if="plays" v-show="playing" ref="video" :src="film.url" preload="auto" playsinline />
      <slot />
    </div>
    <span v-if="view.zoom > 1" class="zoom number">{{ decimal(view.zoom, 1) }}×</span>
  </div>
</template>

<style scoped>
.stage {
  position: relative;
  overflow: hidden;
  background: var(--picture);
  touch-action: none;
  user-select: none;
}
.stage.zoomed {
  cursor: grab;
}
.moved {
  position: absolute;
  inset: 0;
  transform-origin: 0 0;
}
canvas,
video {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  display: block;
  object-fit: contain;
}
.zoom {
  position: absolute;
  right: 8px;
  top: 8px;
  background: var(--shade);
  padding: var(--space-0-5) var(--space-2);
  border-radius: 3px;
}
</style>
