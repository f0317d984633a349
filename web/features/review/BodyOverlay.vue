<script setup lang="ts">
import { limbs, pointAt, pointIn, pointNames, type BodyPoint, type PointName, type Track } from '@wax-fist/core/body';
import { frameAt, type FrameTimeline } from '@wax-fist/core/film';
import type { ReadFrom } from '@wax-fist/core/measure';
import { computed } from 'vue';

/** The body as it was found, over the picture: thin, with what the row in hand is read from drawn out. */
const {
  track,
  timeline,
  at,
  width,
  height,
  read = undefined,
} = defineProps<{
  track: Track;
  timeline: FrameTimeline;
  /** The frame on show. */
  at: number;
  width: number;
  height: number;
  read?: ReadFrom;
}>();

const point = (name: PointName): BodyPoint | undefined => pointIn(track, at, pointAt[name]);
const lines = computed(() =>
  limbs.flatMap(([from, to]) => {
    const [a, b] = [point(from), point(to)];
    if (!a || !b) return [];
    const about = read?.points.includes(from) && read.points.includes(to);
    return [{ key: `${from} ${to}`, a, b, about, hidden: Math.min(a.seen, b.seen) < 0.5 }];
  }),
);
const dots = computed(() =>
  (read?.points ?? pointNames.slice(11)).flatMap((name) => {
    const place = point(name);
    return place ? [{ name, ...place, about: read !== undefined }] : [];
  }),
);
/** Hands and feet that are followed over a time, on their way. */
const paths = computed(() => {
  if (!read || read.to - read.from < 60) return [];
  const [first, last] = [frameAt(timeline, read.from), frameAt(timeline, read.to)];
  return read.points
    .filter((name) => /Wrist|Ankle|Toe/.test(name))
    .map((name) =>
      Array.from({ length: last - first + 1 }, (_, place) => pointIn(track, first + place, pointAt[name]))
        .flatMap((place) => (place ? [`${place.x.toFixed(1)},${place.y.toFixed(1)}`] : []))
        .join(' '),
    );
});
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" aria-hidden="true" data-body>
    <polyline v-for="(path, place) in paths" :key="place" :points="path" class="path" />
    <line
      v-for="{ key, a, b, about, hidden } in lines"
      :key="key"
      :x1="a.x"
      :y1="a.y"
      :x2="b.x"
      :y2="b.y"
      :class="{ about, hidden }"
    />
    <circle v-for="{ name, x, y, about } in dots" :key="name" :cx="x" :cy="y" :r="about ? 5 : 3" :class="{ about }" />
  </svg>
</template>

<style scoped>
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
line {
  stroke: #fff9;
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
line.hidden {
  stroke-dasharray: 4 4;
}
circle {
  fill: #fffc;
}
.about {
  stroke: #ffd27a;
  stroke-width: 3;
}
circle.about {
  fill: #0a0a0a;
}
.path {
  fill: none;
  stroke: #7fe0d4;
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
</style>
