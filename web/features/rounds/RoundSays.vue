<script setup lang="ts">
import type { Round } from '@wax-fist/contract/rounds';
import type { StrikeMark } from '@wax-fist/contract/review';
import { roundFigures, speedBagBeat, thirds, type MeanDifference } from '@wax-fist/core/rounds';
import { timeOf, type FrameTimeline } from '@wax-fist/core/film';
import { freshAndTired } from '@wax-fist/core/strikes';
import { handOf, techniqueName, thrownAs, type Stance } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { decimal } from '@wax-fist/core/words';
import { clock } from '../../app/format.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import PickedStrike from '../compare/PickedStrike.vue';
import PaceChart from './PaceChart.vue';
import { roundsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What the hits of one round say. */
const { filmId, round, strikes, timeline, stance } = defineProps<{
  filmId: string;
  round: Round;
  strikes: readonly StrikeMark[];
  timeline: FrameTimeline;
  stance: Stance;
}>();
const emit = defineEmits<{ go: [time: number] }>();
const hitsAndRounds = useHitsAndRounds();
const catalogue = useCatalogue();

const figures = computed(() => roundFigures(round, hitsAndRounds.hits, hitsAndRounds.edits.gap));
const beat = computed(() =>
  round.kind === 'speed bag'
    ? speedBagBeat(hitsAndRounds.hits.flatMap(({ time }) => (time >= round.from && time < round.to ? [time] : [])))
    : undefined,
);
const hands = computed(() => {
  const tagged = strikes.filter(({ contactFrame }) => {
    const time = timeOf(timeline, contactFrame);
    return time >= round.from && time < round.to;
  });
  const thrown = tagged.map((strike) => {
    const technique = catalogue.newest.techniques.get(thrownAs(catalogue.newest, strike));
    return technique && handOf(technique.side, stance);
  });
  const count = (side: 'left' | 'right'): number => thrown.filter((one) => one === side).length;
  return { tagged: tagged.length, left: count('left'), right: count('right') };
});
/** The half minute that was picked stands in the address. */
const route = useRoute();
const router = useRouter();
const half = computed(() => {
  const asked = Number(route.query.half ?? NaN);
  return figures.value.stretches[asked] ? asked : undefined;
});
const pick = (place: number | undefined): void =>
  void router.replace({ query: { ...route.query, half: place === undefined ? undefined : String(place) } });
const picked = computed(() => {
  const stretch = half.value === undefined ? undefined : figures.value.stretches[half.value];
  const landed = strikes
    .map((strike) => ({ ...strike, time: timeOf(timeline, strike.contactFrame) }))
    .filter(({ time }) => time >= round.from && time < round.to);
  return stretch && { stretch, both: freshAndTired(landed, stretch) };
});
const nameOf = (strike: StrikeMark): string => techniqueName(catalogue.newest, thrownAs(catalogue.newest, strike)).toLowerCase();
const lengths = computed(() =>
  figures.value.lengths.map((count, place) => ({ count, hits: place + 1 })).filter(({ count }) => count > 0),
);

const signed = (value: number, digits: number): string => `${value < 0 ? '−' : '+'}${decimal(Math.abs(value), digits)}`;
const range = ({ low, high }: MeanDifference, digits: number): string => words.toLow(signed(low, digits), signed(high, digits));
/** A change is told as one only when its whole interval lies on one side. */
const changed = ({ low, high }: MeanDifference, down: string, up: string): string =>
  high < 0 ? down : low > 0 ? up : words.noClearChange;
</script>

<template>
  <section class="says" :aria-label="words.whatSays(round.name)">
    <h2>{{ round.name }}, {{ round.kind }}</h2>
    <p v-if="figures.hits === 0" class="empty">{{ words.noHitLiesInThis }}</p>
    <template v-else>
      <dl>
        <div>
          <dt>{{ words.hitsTitle }}</dt>
          <dd>
            <b class="number">{{ figures.hits }}</b>, <span class="number">{{ decimal(figures.pace, 1) }}</span>
            {{ words.perSThirds }}
            <span class="number">{{ thirds.map((third) => figures.byThird[third]).join(' · ') }}</span>
          </dd>
        </div>
        <div>
          <dt>{{ words.combinations }}</dt>
          <dd>
            <span v-for="{ count, hits } in lengths" :key="hits" class="length">
              <TextWith :text="words.ofHits(hits)">
                <template #count>
                  <b class="number">{{ count }}</b>
                </template>
              </TextWith>
            </span>
          </dd>
        </div>
        <div>
          <dt>{{ words.longestGap }}</dt>
          <dd>
            <button type="button" class="gap" :title="words.goThere" @click="emit('go', figures.longestGap.from)">
              <TextWith :text="words.gapFrom">
                <template #gap>
                  <b class="number">{{ decimal((figures.longestGap.to - figures.longestGap.from) / 1000, 1) }} s</b>
                </template>
                <template #from>
                  <span class="number">{{ clock(figures.longestGap.from).slice(0, -1) }}</span>
                </template>
              </TextWith>
            </button>
          </dd>
        </div>
        <div>
          <dt>{{ words.lastThirdAgainstFirst }}</dt>
          <dd v-if="figures.fade">
            <TextWith :text="words.fade(range(figures.fade.level, 1), range(figures.fade.snap, 2))">
              <template #level>
                <b>{{ changed(figures.fade.level, words.fades, words.rises) }}</b>
              </template>
              <template #decibels>
                <span class="number">{{ words.dbLevel(signed(figures.fade.level.value, 1)) }}</span>
              </template>
              <template #snap>
                <b>{{ changed(figures.fade.snap, words.fades, words.rises) }}</b>
              </template>
              <template #snapBy>
                <span class="number">{{ signed(figures.fade.snap.value, 2) }}</span>
              </template>
            </TextWith>
          </dd>
          <dd v-else class="quiet">{{ words.tooFewHitsThatWere }}</dd>
        </div>
        <div>
          <dt>{{ words.leftAndRight }}</dt>
          <dd v-if="hands.tagged > 0">
            <TextWith :text="words.leftRightOf(hands.tagged)">
              <template #left>
                <b class="number">{{ hands.left }}</b>
              </template>
              <template #right>
                <b class="number">{{ hands.right }}</b>
              </template>
            </TextWith>
          </dd>
          <dd v-else class="quiet">{{ words.onceStrikesAreTaggedAt }}</dd>
        </div>
        <div v-if="round.kind === 'speed bag'">
          <dt>{{ words.beat }}</dt>
          <dd v-if="beat">
            <TextWith :text="words.aMinuteOffTheBeat">
              <template #beat>
                <b class="number">{{ (60_000 / beat.beat).toFixed(0) }}</b>
              </template>
              <template #unevenness>
                <span class="number">{{ (beat.unevenness * 100).toFixed(0) }}%</span>
              </template>
              <template #missed>
                <b class="number">{{ beat.missed }}</b>
              </template>
              <template #first>
                <template v-if="beat.gaps.length > 0"
                  >{{ words.firstAt }}
                  <button type="button" class="gap number" @click="emit('go', beat.gaps[0]!)">
                    {{ clock(beat.gaps[0]!).slice(0, -1) }}
                  </button></template
                >
              </template>
            </TextWith>
          </dd>
          <dd v-else class="quiet">{{ words.tooFewBeatsToSay }}</dd>
        </div>
      </dl>
      <PaceChart
        v-if="figures.stretches.length > 1"
        :figures="figures"
        :from="round.from"
        :name="round.name"
        :picked="half"
        @pick="pick"
      />
      <template v-if="picked">
        <PickedStrike
          v-if="picked.both"
          :strike-id="picked.both.tired.strikeId"
          :film-id="filmId"
          :says="words.fromSlice(clock(picked.stretch.from).slice(0, -1), nameOf(picked.both.tired))"
          :against="picked.both.fresh && { strikeId: picked.both.fresh.strikeId, name: words.theFirstOneOfThe }"
          @close="pick(undefined)"
        />
        <p v-else class="quiet" role="status">{{ words.noStrikeIsTaggedIn }}</p>
      </template>
      <p class="quiet note">
        {{ words.loudnessAndSnapHoldWithin }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.says h2 {
  margin-top: 0;
}
dl > div {
  display: grid;
  grid-template-columns: 132px 1fr;
  gap: var(--space-2);
  padding: var(--space-1) 0;
  border-top: 1px solid var(--line);
}
dt {
  color: var(--quiet);
  font-size: var(--type-text);
}
.length {
  margin-right: var(--space-3);
}
.gap {
  text-decoration: underline dotted;
}
.note {
  font-size: var(--type-small);
}
</style>
