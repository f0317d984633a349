<script setup lang="ts">
import type { Placement, OnTheWay } from '@wax-fist/core/compare';
import { timeOf } from '@wax-fist/core/film';
import { computed, ref, watch } from 'vue';
import FilmPicture from '../../player/FilmPicture.vue';
import DrawnBody from './DrawnBody.vue';
import type { ComparedSide } from './compared-side.ts';

/** One strike at one frame, laid out so that its body comes to lie where it should. */
const {
  side,
  frame,
  into,
  placement = undefined,
  path = [],
} = defineProps<{
  side: ComparedSide;
  frame: number;
  /** The size of the picture in whose place it is shown, in pixels. */
  into: { width: number; height: number };
  /** As it was filmed where none is told. */
  placement?: Placement;
  path?: readonly OnTheWay[];
}>();
const emit = defineEmits<{ ready: [] }>();
/** The first picture of it is there. */
const first = ref(true);
function onShown(): void {
  if (first.value) emit('ready');
  first.value = false;
}
const picture = ref<InstanceType<typeof FilmPicture>>();
const size = computed(() => side.picture);
watch([() => frame, picture], () => picture.value && picture.value.player.at.value !== frame && picture.value.player.go(frame), {
  immediate: true,
  flush: 'post',
});
const laid = computed(() => {
  const { width, height } = size.value;
  const share = { width: `${(100 * width) / into.width}%`, height: `${(100 * height) / into.height}%` };
  if (!placement) return share;
  const { mirrored, scale, turn, x, y } = placement;
  const [cos, sin, across] = [scale * Math.cos(turn), scale * Math.sin(turn), mirrored ? -1 : 1];
  return {
    ...share,
    transform: `translate(${(100 * x) / width}%, ${(100 * y) / height}%) matrix(${cos * across}, ${sin * across}, ${-sin}, ${cos}, 0, 0)`,
  };
});
const line = computed(() => path.map(({ x, y }) => `${x},${y}`).join(' '));
/** Where on its way it is now. */
const now = computed(() => path.findLast(({ time }) => time <= timeOf(side.timeline, frame) + 0.5));
const thick = computed(() => size.value.height / 220);
</script>

<template>
  <div class="laid" :style="laid">
    <FilmPicture
      v-if="side.strike"
      ref="picture"
      :film="side.playable"
      :width="size.width"
      :height="size.height"
      :begin="frame"
      :plays="false"
      class="picture"
      @shown="onShown"
    >
      <svg v-if="path.length > 0" class="laid-over" :viewBox="`0 0 ${size.width} ${size.height}`" aria-hidden="true">
        <polyline class="line" :points="line" :stroke-width="thick" />
        <circle v-if="now" class="now" :cx="now.x" :cy="now.y" :r="thick * 2.4" />
      </svg>
    </FilmPicture>
    <DrawnBody v-else :body="side.body" :frame="frame" :picture="size" class="picture stage" :data-frame="frame">
      <polyline class="line" :points="line" :stroke-width="thick" />
      <circle v-if="now" class="now" :cx="now.x" :cy="now.y" :r="thick * 2.4" />
    </DrawnBody>
  </div>
</template>

<style scoped>
.laid {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
}
.picture {
  width: 100%;
  height: 100%;
}
.laid-over {
  pointer-events: none;
}
.line {
  fill: none;
  stroke: var(--way, var(--signal));
  stroke-linejoin: round;
}
.now {
  fill: var(--way, var(--signal));
}
</style>
