<script setup lang="ts">
import { lengthInWords, rangeMarks, stanceBoxFor, type RangeMark } from '@wax-fist/core/setup';
import { stances } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { toldInWords } from './told-words.ts';
import type { SetUp } from './use-set-up.ts';
import { setupWords as words } from './words.ts';

/** The floor from above, to scale: marks before the bag for both leads, and the box in which one stands. */
const { setUp } = defineProps<{ setUp: SetUp }>();
const units = computed(() => setUp.units.value);
const marks = computed(() => rangeMarks(setUp.body.value));
const box = computed(() => stanceBoxFor(setUp.body.value));
/** Half of a bag, and where its face is drawn, in centimetres. */
const bag = { radius: 18, face: 60 } as const;
const lanes = stances.map((stance, place) => ({ stance, y: 44 + place * 92, lead: stance === 'orthodox' ? -1 : 1 }));
/** Feet of somebody whose lead toes are at a mark: the lead foot straight, the rear one turned out by half a right angle. */
const feet = (mark: RangeMark, { y, lead }: (typeof lanes)[number]) => {
  const foot = box.value.foot.value;
  const half = (box.value.width.value / 2) * lead;
  const toes = bag.face + mark.distance.value;
  return [
    { x: toes + foot / 2, y: y + half, turn: 0, foot },
    { x: toes + foot / 2 + box.value.length.value, y: y - half, turn: 45 * lead, foot },
  ];
};
const rows = computed(() => [
  ...marks.value.map(({ range, says, distance }) => ({
    name: `${range[0]!.toUpperCase()}${range.slice(1)}`,
    says,
    told: distance,
  })),
  { name: words.stanceSideways, says: words.betweenTheMiddlesOfBoth, told: box.value.width },
  { name: words.stanceFrontToBack, says: words.fromAnkleToAnkle, told: box.value.length },
]);
</script>

<template>
  <figure>
    <svg viewBox="0 0 320 190" role="img" :aria-label="words.marksOnTheFloorFrom">
      <g v-for="lane in lanes" :key="lane.stance">
        <circle :cx="bag.face - bag.radius" :cy="lane.y" :r="bag.radius" class="bag" />
        <text x="2" :y="lane.y - bag.radius - 6">{{ lane.stance === 'orthodox' ? words.leftLeads : words.rightLeads }}</text>
        <g v-for="mark in marks" :key="mark.range">
          <line
            :x1="bag.face + mark.distance.value"
            :x2="bag.face + mark.distance.value"
            :y1="lane.y - 24"
            :y2="lane.y + 24"
            class="mark"
          />
        </g>
        <ellipse
          v-for="(one, place) in feet(marks[1]!, lane)"
          :key="place"
          :cx="one.x"
          :cy="one.y"
          :rx="one.foot / 2"
          :ry="one.foot * 0.19"
          :transform="`rotate(${one.turn} ${one.x} ${one.y})`"
          class="foot"
        />
      </g>
      <g v-for="(mark, place) in marks" :key="mark.range">
        <line
          :x1="bag.face + mark.distance.value"
          :x2="bag.face + mark.distance.value"
          y1="68"
          :y2="76 + place * 9"
          class="measure"
        />
        <text :x="bag.face + mark.distance.value + 3" :y="78 + place * 9" class="small">
          {{ mark.range }} {{ lengthInWords(mark.distance.value, units) }}
        </text>
      </g>
    </svg>
    <figcaption>
      {{ words.tapeForTheToesOf }}
    </figcaption>
  </figure>
  <table class="told">
    <thead>
      <tr>
        <th>{{ words.range }}</th>
        <th>{{ words.fromTheBag }}</th>
        <th>{{ words.whatItIs }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ name, says, told } in rows" :key="name">
        <td>{{ name }}</td>
        <td class="number">{{ toldInWords(told, units) }}</td>
        <td>{{ says }} <span class="quiet">({{ told.source }})</span></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
svg text,
svg .small {
  font-size: 6px;
}
</style>
