<script setup lang="ts">
import type { Region } from '@wax-fist/core/strikes';
import { computed, ref } from 'vue';
import { roundsWords as words } from './words.ts';

/** A part of the picture: shown, and drawn anew while `drawing`. */
const { region, drawing } = defineProps<{ region: Region; drawing: boolean }>();
const emit = defineEmits<{ drawn: [region: Region] }>();

const first = ref<{ x: number; y: number }>();
const draft = ref<Region>();
/** Smaller than this in either direction is a slip of the hand. */
const leastSide = 0.06;

const at = (event: PointerEvent) => {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
  const share = (value: number) => Math.max(0, Math.min(1, value));
  return { x: share((event.clientX - box.left) / box.width), y: share((event.clientY - box.top) / box.height) };
};
function begin(event: PointerEvent): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  first.value = at(event);
}
function move(event: PointerEvent): void {
  if (!first.value) return;
  const { x, y } = at(event);
  const [left, top] = [Math.min(x, first.value.x), Math.min(y, first.value.y)];
  draft.value = { left, top, width: Math.abs(x - first.value.x), height: Math.abs(y - first.value.y) };
}
function end(): void {
  if (draft.value && draft.value.width >= leastSide && draft.value.height >= leastSide) emit('drawn', draft.value);
  first.value = undefined;
  draft.value = undefined;
}
const shown = computed(() => draft.value ?? region);
const whole = computed(() => shown.value.width === 1 && shown.value.height === 1);
const place = computed(() => {
  const { left, top, width, height } = shown.value;
  return { left: `${100 * left}%`, top: `${100 * top}%`, width: `${100 * width}%`, height: `${100 * height}%` };
});
</script>

<template>
  <div
    v-if="drawing"
    class="sheet"
    :aria-label="words.drawThePartOfThe"
    @pointerdown.stop="begin"
    @pointermove.stop="move"
    @pointerup.stop="end"
    @dblclick.stop
  />
  <i v-if="!whole" class="part" :style="place" />
</template>

<style scoped>
.sheet {
  position: absolute;
  inset: 0;
  cursor: crosshair;
  background: var(--shade-light);
}
.part {
  position: absolute;
  border: 2px dashed var(--signal);
  pointer-events: none;
}
</style>
