<script setup lang="ts">
import type { PlanPart } from '@wax-fist/core/plan';
import { viewNames, type View } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { settledSigns } from '../sessions/session-advice.ts';
import type { Taken } from './plan-ground.ts';
import { plansWords as words } from './words.ts';

/** Where a camera stands for what is filmed in this session: the fewest places, from above and in words. */
const { taken, parts } = defineProps<{ taken: Taken; parts: readonly PlanPart[] }>();
/** Of somebody who faces the bag to the right and leads with the left: where a camera of each view stands. */
const stands: Record<View, { at: readonly [x: number, y: number]; sees: string }> = {
  front: { at: [132, 40], sees: '36 28 L 36 72' },
  rear: { at: [12, 50], sees: '100 30 L 100 70' },
  'lead-side': { at: [62, 10], sees: '30 62 L 112 62' },
  'rear-side': { at: [62, 90], sees: '30 38 L 112 38' },
  quarter: { at: [122, 14], sees: '36 40 L 66 74' },
};
const checked = computed(() => new Set(parts.flatMap(({ kind, correctionId }) => (kind === 're-check' ? [correctionId] : []))));
const nameOf = (id: string): string => {
  const one = taken.corrections.find((correction) => correction.id === id);
  return one ? `${one.techniqueName}: ${one.checkpointName.toLowerCase()}` : '';
};
const places = computed(() =>
  taken.filming.places
    .map((place) => ({ ...place, answers: place.answers.filter(({ id }) => checked.value.has(id)) }))
    .filter(({ answers }) => answers.length > 0),
);
const never = computed(() => taken.filming.unanswered.filter((id) => checked.value.has(id)));
</script>

<template>
  <section v-if="places.length > 0 || never.length > 0" aria-labelledby="camera-places">
    <h2 id="camera-places">{{ words.whereTheCameraStands }}</h2>
    <svg
      v-if="places.length > 0"
      viewBox="0 0 150 100"
      role="img"
      :aria-label="places.map(({ view }) => viewNames[view]).join(', ')"
    >
      <circle cx="98" cy="50" r="10" class="bag" />
      <ellipse cx="56" cy="45" rx="7" ry="3" class="foot" />
      <ellipse cx="44" cy="56" rx="7" ry="3" class="foot" transform="rotate(45 44 56)" />
      <g v-for="({ view }, place) in places" :key="view">
        <path :d="`M ${stands[view].at.join(' ')} L ${stands[view].sees} Z`" class="cone" />
        <circle :cx="stands[view].at[0]" :cy="stands[view].at[1]" r="8" class="camera" />
        <text :x="stands[view].at[0]" :y="stands[view].at[1] + 3.5" text-anchor="middle">{{ place + 1 }}</text>
      </g>
    </svg>
    <ol class="numbered">
      <li v-for="{ view, rate, answers } in places" :key="view">
        <b>{{ viewNames[view] }}</b><template v-if="rate > 0">{{ words.framesASecondOrMore(rate) }}</template>
        <span v-for="{ id, settles } in answers" :key="id" class="answer">
          <VIcon :icon="settledSigns[settles]" size="16" /> {{ nameOf(id) }}{{ settles === 'eye' ? words.byEye : words.measured }}
        </span>
      </li>
    </ol>
    <p v-for="id in never" :key="id" class="quiet">{{ words.noCameraSettlesWatchIt(nameOf(id)) }}</p>
  </section>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 320px;
  background: rgb(var(--v-theme-surface));
}
.bag {
  fill: var(--bag);
}
.foot {
  fill: var(--drawn);
}
.cone {
  fill: var(--signal-ground);
}
.camera {
  fill: var(--drawn-dark);
}
text {
  font-family: var(--numbers);
  font-size: 10px;
  fill: var(--white);
}
ol {
  margin-top: var(--space-1-5);
  font-size: var(--type-text);
}
.answer {
  display: block;
  color: var(--quiet);
}
</style>
