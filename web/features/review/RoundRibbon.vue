<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import type { StrikeMark } from '@wax-fist/contract/review';
import { frameAt, timeOf } from '@wax-fist/core/film';
import { numberOf } from '@wax-fist/core/calls';
import { thrownAs } from '@wax-fist/core/technique';
import { gravest, verdictNames } from '@wax-fist/core/review';
import type { Ms } from '@wax-fist/core/units';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { useReview } from './review-store.ts';
import { pieceInHand, type Piece } from './ribbon-window.ts';
import RibbonLine, { type RibbonMark } from './RibbonLine.vue';
import { reviewWords as words } from './words.ts';

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
    : [{ id: 'whole', name: words.wholeFilm, from: 0, to: timeline.at(-1)! || 1 }],
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
/** So wide is a mark with its call, in pixels: more of them in a line would lie over each other. */
const markWidth = 15;
const ribbon = useTemplateRef('ribbon');
const { width } = useElementSize(ribbon);
/** With some air between combinations, so that hardly a mark has to give way. */
const room = computed(() => Math.max(1, Math.floor((width.value || 800) / markWidth / 1.7)));

/** Apart from the marks, so that a mark does not have every hit drawn again. */
const hitsOfRounds = computed(() =>
  rounds.value.map(({ from, to }) => hitsAndRounds.hits.filter(({ time }) => time >= from && time < to)),
);
/** What lies between two rounds is shown with the one before it. */
const lines = computed(() =>
  rounds.value.map((round, place) => {
    const [from, to] = [place === 0 ? -Infinity : round.from, rounds.value[place + 1]?.from ?? Infinity];
    const mine = marks.value.filter(({ contact }) => contact >= from && contact < to);
    return { round, hits: hitsOfRounds.value[place]!, marks: mine, piece: pieceOf(round, mine.length) };
  }),
);
/** Of the round in hand, when it has more strikes than have room: the piece of it that is drawn large. */
function pieceOf(round: { id: string; name: string; from: Ms; to: Ms }, strikes: number) {
  if (round.id !== inHand.value || strikes <= room.value) return undefined;
  return { name: round.name, ...pieceInHand(round, strikes, room.value, now.value) };
}
const inPiece = <One>(list: readonly One[], { from, to }: Piece, timeOfOne: (one: One) => Ms): One[] =>
  list.filter((one) => timeOfOne(one) >= from && timeOfOne(one) <= to);
</script>

<template>
  <div ref="ribbon" class="ribbon" role="group" :aria-label="words.theRound">
    <template v-for="{ round, hits, marks: mine, piece } in lines" :key="round.id">
      <RibbonLine
        v-if="piece"
        :round="piece"
        :span="piece.to - piece.from"
        :hits="inPiece(hits, piece, ({ time }) => time)"
        :gap="hitsAndRounds.edits.gap"
        :marks="inPiece(mine, piece, ({ contact }) => contact)"
        :least="markWidth / width"
        :at="now"
        :selected="bench.strike.value?.strikeId"
        :low="false"
        @select="bench.select"
        @go="emit('go', frameAt(timeline, $event))"
      />
      <RibbonLine
        :round="round"
        :span="span"
        :hits="hits"
        :gap="hitsAndRounds.edits.gap"
        :marks="piece ? [] : mine"
        :least="(piece || round.id !== inHand ? 0 : markWidth) / width"
        :large="piece"
        :at="now"
        :selected="bench.strike.value?.strikeId"
        :low="round.id !== inHand || piece !== undefined"
        @select="bench.select"
        @go="emit('go', frameAt(timeline, $event))"
      />
    </template>
    <span v-if="marks.length === 0 && hitsAndRounds.hits.length === 0" class="hint">{{ words.noStrikeYetStepTo }}</span>
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
  gap: var(--space-0-5);
}
.hint {
  position: absolute;
  inset: 8px 0 auto;
  text-align: center;
  color: var(--quiet);
  font-size: var(--type-small);
}
</style>
