<script setup lang="ts">
import { limbs, pointAt, pointIn, pointNames, type BodyPoint, type PointName } from '@wax-fist/core/body';
import { frameAt } from '@wax-fist/core/film';
import { bodyRead, pointDoubt, shapesAt, wedge, type FollowedFilm, type ReadFrom } from '@wax-fist/core/measure';
import type { CheckpointId } from '@wax-fist/core/technique';
import { computed } from 'vue';

/** The bodies as they were found, over the picture: thin, with what the row in hand is read from drawn out. */
const {
  film: whole,
  at,
  width,
  height,
  row = undefined,
  read = undefined,
  bare = false,
} = defineProps<{
  film: FollowedFilm;
  /** The frame on show. */
  at: number;
  width: number;
  height: number;
  /** The row in hand, and what it is read from. */
  row?: CheckpointId | undefined;
  read?: ReadFrom | undefined;
  /** Without dots and doubts: something else draws the points. */
  bare?: boolean;
}>();

const film = computed(() => bodyRead(whole, read));
/** Who is beside the one that the row is about: who holds, or who strikes. */
const beside = computed(() => (read?.ofHolder ? whole : whole.holder));
const pointOf = (one: FollowedFilm, name: PointName): BodyPoint | undefined => pointIn(one.track, at, pointAt[name]);
const point = (name: PointName): BodyPoint | undefined => pointOf(film.value, name);
const linesOf = (one: FollowedFilm, looked: readonly PointName[]) =>
  limbs.flatMap(([from, to]) => {
    const [a, b] = [pointOf(one, from), pointOf(one, to)];
    if (!a || !b) return [];
    const about = looked.includes(from) && looked.includes(to);
    return [{ key: `${one.view} ${from} ${to}`, a, b, about, hidden: Math.min(a.seen, b.seen) < 0.5 }];
  });
const lines = computed(() => [...(beside.value ? linesOf(beside.value, []) : []), ...linesOf(film.value, read?.points ?? [])]);
const dots = computed(() =>
  (read?.points ?? pointNames.slice(11)).flatMap((name) => {
    const place = point(name);
    return place ? [{ name, ...place, about: read !== undefined }] : [];
  }),
);
/** How far each point that is looked at may be off. A pin is where it is. */
const doubts = computed(() =>
  dots.value.flatMap(({ name, x, y, about }) => {
    const doubt = about && heldAt(name) < 1 ? pointDoubt(film.value, name) : undefined;
    return doubt ? [{ name, x, y, rx: doubt[0], ry: doubt[1] }] : [];
  }),
);
const heldAt = (name: PointName): number =>
  film.value.track.held?.[(at - film.value.track.from) * pointNames.length + pointAt[name]] ?? 0;
const shapes = computed(() => (row && read ? shapesAt(whole, at, row, read) : []));
const drawn = computed(() => shapes.value.flatMap((one) => (one.kind === 'line' ? [one] : [])));
const angles = computed(() => shapes.value.flatMap((one) => (one.kind === 'angle' ? [one] : [])));
/** Hands and feet that are followed over a time, on their way. */
const paths = computed(() => {
  if (!read || read.to - read.from < 60) return [];
  const [first, last] = [frameAt(whole.timeline, read.from), frameAt(whole.timeline, read.to)];
  return read.points
    .filter((name) => /Wrist|Ankle|Toe/.test(name))
    .map((name) =>
      Array.from({ length: last - first + 1 }, (_, place) => pointIn(film.value.track, first + place, pointAt[name]))
        .flatMap((place) => (place ? [`${place.x.toFixed(1)},${place.y.toFixed(1)}`] : []))
        .join(' '),
    );
});
</script>

<template>
  <svg class="laid-over" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true" data-body>
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
    <line
      v-for="({ from, to, dashed }, place) in drawn"
      :key="`drawn ${place}`"
      :x1="from.x"
      :y1="from.y"
      :x2="to.x"
      :y2="to.y"
      class="drawn"
      :class="{ dashed }"
    />
    <g v-for="(one, place) in angles" :key="`angle ${place}`">
      <path :d="wedge(one, film.size.torso / 4)" class="drawn" />
      <text :x="one.at.x" :y="one.at.y + film.size.torso / 3">{{ Math.round(one.degrees) }}°</text>
    </g>
    <template v-if="!bare">
      <ellipse v-for="{ name, x, y, rx, ry } in doubts" :key="`doubt ${name}`" :cx="x" :cy="y" :rx="rx" :ry="ry" class="doubt" />
      <circle v-for="{ name, x, y, about } in dots" :key="name" :cx="x" :cy="y" :r="about ? 5 : 3" :class="{ about }" />
    </template>
  </svg>
</template>

<style scoped>
svg {
  pointer-events: none;
}
line {
  stroke: var(--sheen-strong);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
line.hidden {
  stroke-dasharray: 4 4;
}
circle {
  fill: var(--chalk);
}
.about {
  stroke: var(--pinned);
  stroke-width: 3;
}
circle.about {
  fill: var(--picture);
}
.drawn {
  fill: none;
  stroke: var(--pinned);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.dashed {
  stroke-dasharray: 6 5;
}
.doubt {
  fill: var(--pinned-ground);
  stroke: var(--pinned-edge);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
text {
  fill: var(--white);
  font-size: var(--type-lead);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--shade);
  stroke-width: 4;
}
.path {
  fill: none;
  stroke: var(--placed);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
</style>
