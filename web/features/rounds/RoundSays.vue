<script setup lang="ts">
import type { Round } from '@wax-fist/contract/rounds';
import type { StrikeMark } from '@wax-fist/contract/review';
import { roundFigures, speedBagBeat, thirds, type MeanDifference } from '@wax-fist/core/rounds';
import { timeOf, type FrameTimeline } from '@wax-fist/core/film';
import { freshAndTired } from '@wax-fist/core/strikes';
import { handOf, techniqueName, thrownAs, type Stance } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { counted, decimal } from '@wax-fist/core/words';
import { clock } from '../../app/format.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import PickedStrike from '../compare/PickedStrike.vue';
import PaceChart from './PaceChart.vue';

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
const range = ({ low, high }: MeanDifference, digits: number): string => `${signed(low, digits)} to ${signed(high, digits)}`;
/** A change is told as one only when its whole interval lies on one side. */
const changed = ({ low, high }: MeanDifference, down: string, up: string): string =>
  high < 0 ? down : low > 0 ? up : 'no clear change';
</script>

<template>
  <section class="says" :aria-label="`What ${round.name} says`">
    <h2>{{ round.name }}, {{ round.kind }}</h2>
    <p v-if="figures.hits === 0" class="empty">No hit lies in this round. Slide to “many”, or set hits by hand.</p>
    <template v-else>
      <dl>
        <div>
          <dt>Hits</dt>
          <dd>
            <b class="number">{{ figures.hits }}</b>, <span class="number">{{ decimal(figures.pace, 1) }}</span> per 30 s; thirds
            <span class="number">{{ thirds.map((third) => figures.byThird[third]).join(' · ') }}</span>
          </dd>
        </div>
        <div>
          <dt>Combinations</dt>
          <dd>
            <span v-for="{ count, hits } in lengths" :key="hits" class="length"
              ><b class="number">{{ count }}</b> of {{ hits }}</span
            >
          </dd>
        </div>
        <div>
          <dt>Longest gap</dt>
          <dd>
            <button type="button" class="gap" title="Go there" @click="emit('go', figures.longestGap.from)">
              <b class="number">{{ decimal((figures.longestGap.to - figures.longestGap.from) / 1000, 1) }} s</b> from
              <span class="number">{{ clock(figures.longestGap.from).slice(0, -1) }}</span>
            </button>
          </dd>
        </div>
        <div>
          <dt>Last third against first</dt>
          <dd v-if="figures.fade">
            Loudness <b>{{ changed(figures.fade.level, 'fades', 'rises') }}</b>,
            <span class="number">{{ signed(figures.fade.level.value, 1) }} dB</span> ({{ range(figures.fade.level, 1) }}); snap
            <b>{{ changed(figures.fade.snap, 'fades', 'rises') }}</b>,
            <span class="number">{{ signed(figures.fade.snap.value, 2) }}</span> ({{ range(figures.fade.snap, 2) }})
          </dd>
          <dd v-else class="quiet">too few hits that were heard to say</dd>
        </div>
        <div>
          <dt>Left and right</dt>
          <dd v-if="hands.tagged > 0">
            <b class="number">{{ hands.left }}</b> left, <b class="number">{{ hands.right }}</b> right of
            {{ counted(hands.tagged, 'tagged strike') }}
          </dd>
          <dd v-else class="quiet">once strikes are tagged at the bench</dd>
        </div>
        <div v-if="round.kind === 'speed bag'">
          <dt>Beat</dt>
          <dd v-if="beat">
            <b class="number">{{ (60_000 / beat.beat).toFixed(0) }}</b> a minute,
            <span class="number">{{ (beat.unevenness * 100).toFixed(0) }}%</span> off the beat on average,
            <b class="number">{{ beat.missed }}</b> missed<template v-if="beat.gaps.length > 0"
              >, first at
              <button type="button" class="gap number" @click="emit('go', beat.gaps[0]!)">
                {{ clock(beat.gaps[0]!).slice(0, -1) }}
              </button></template
            >
          </dd>
          <dd v-else class="quiet">too few beats to say</dd>
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
          :says="`From ${clock(picked.stretch.from).slice(0, -1)}: ${nameOf(picked.both.tired)}`"
          :against="picked.both.fresh && { strikeId: picked.both.fresh.strikeId, name: 'the first one of the round' }"
          @close="pick(undefined)"
        />
        <p v-else class="quiet" role="status">No strike is tagged in this half minute: there is nothing to compare.</p>
      </template>
      <p class="quiet note">
        Loudness and snap hold within this film only: another bag or another place of the camera sounds different. In brackets,
        where the true change lies nine times out of ten.
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
