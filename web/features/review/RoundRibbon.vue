<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import type { StrikeMark } from '@wax-fist/contract/review';
import { frameAt, timeOf } from '@wax-fist/core/film';
import { numberOf } from '@wax-fist/core/calls';
import { thrownAs } from '@wax-fist/core/technique';
import { gravest, verdictNames } from '@wax-fist/core/review';
import type { Ms } from '@wax-fist/core/units';
import { computed } from 'vue';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { useReview } from './review-store.ts';
import RibbonLine, { type RibbonMark } from './RibbonLine.vue';

/** Rounds one under the other on one scale, so that the third can be held against the first; the one in hand is tall. */
const { at } = defineProps<{ /** Frame on show. */ at: number }>();
const { data, bench } = useBenchContext();
const { timeline } = data.playable;
const emit = defineEmits<{ go: [frame: number] }>();
const review = useReview();
const hitsAndRounds = useHitsAndRounds();

const now = computed<Ms>(() => timeOf(timeline, at));
const rounds = computed(() =>
  hitsAndRounds.rounds.length > 0
    ? hitsAndRounds.rounds
    : [{ id: 'whole', name: 'Whole film', from: 0, to: timeline.at(-1)! || 1 }],
);
const span = computed(() => Math.max(...rounds.value.map(({ from, to }) => to - from)));
/** The round in which the playhead is, else the one that is nearest. */
const inHand = computed(() => {
  const away = ({ from, to }: { from: Ms; to: Ms }): Ms => Math.max(from - now.value, now.value - to, 0);
  return rounds.value.reduce((nearest, round) => (away(round) < away(nearest) ? round : nearest)).id;
});

/** “RR” for a rear round kick: what has no number is short all the same. */
const initials = (name: string): string =>
  name
    .split(/[\s–-]+/)
    .map(([letter]) => letter!.toUpperCase())
    .join('')
    .slice(0, 2);
const marks = computed(() => review.strikes.map(told));
function told(strike: StrikeMark): RibbonMark {
  const technique = thrownAs(data.catalogue, strike);
  const name = data.catalogue.techniques.get(technique)?.name ?? technique;
  const number = numberOf(data.book, technique);
  const verdict = gravest(review.verdictsOf(strike.strikeId));
  return {
    id: strike.strikeId,
    contact: timeOf(timeline, strike.contactFrame),
    call: number ?? initials(name),
    verdict,
    name: `${number ? `${number} ` : ''}${name}, ${verdict ? verdictNames[verdict].toLowerCase() : 'open'}`,
    dim: !bench.passing(strike),
  };
}
/** Apart from the marks, so that a mark does not have every hit drawn again. */
const hitsOfRounds = computed(() =>
  rounds.value.map(({ from, to }) => hitsAndRounds.hits.filter(({ time }) => time >= from && time < to)),
);
/** What lies between two rounds is shown with the one before it. */
const lines = computed(() =>
  rounds.value.map((round, place) => {
    const [from, to] = [place === 0 ? -Infinity : round.from, rounds.value[place + 1]?.from ?? Infinity];
    return {
      round,
      hits: hitsOfRounds.value[place]!,
      marks: marks.value.filter(({ contact }) => contact >= from && contact < to),
    };
  }),
);
</script>

<template>
  <div class="ribbon" role="group" aria-label="The round">
    <RibbonLine
      v-for="{ round, hits, marks: mine } in lines"
      :key="round.id"
      :round="round"
      :span="span"
      :hits="hits"
      :gap="hitsAndRounds.edits.gap"
      :marks="mine"
      :at="now"
      :selected="bench.strike.value?.strikeId"
      :low="round.id !== inHand"
      @select="bench.select"
      @go="emit('go', frameAt(timeline, $event))"
    />
    <span v-if="marks.length === 0 && hitsAndRounds.hits.length === 0" class="hint"
      >No strike yet: step to a contact and press its number.</span
    >
  </div>
</template>

<style scoped>
.ribbon {
  position: relative;
  flex: none;
  max-height: 152px;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.hint {
  position: absolute;
  inset: 8px 0 auto;
  text-align: center;
  color: var(--quiet);
  font-size: 14px;
}
</style>
