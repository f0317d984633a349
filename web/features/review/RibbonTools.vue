<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { thirds } from '@wax-fist/core/rounds';
import { verdictNames, verdicts } from '@wax-fist/core/review';
import { techniqueName } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import SensitivitySlider from '../rounds/SensitivitySlider.vue';
import { useReview } from './review-store.ts';
import { everyStrike, isFiltering, type StrikeFilter } from './strike-filter.ts';
import { reviewWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What is on the ribbon: how many hits are believed, and which strikes are in question. */
const filter = defineModel<StrikeFilter>({ required: true });
const { data, keys } = useBenchContext();
const hitsAndRounds = useHitsAndRounds();
const review = useReview();
/** Only what was tagged can be in question. */
const thrown = computed(
  () => new Map(review.strikes.map(({ technique }) => [technique, techniqueName(data.catalogue, technique)])),
);
const set = (change: Partial<StrikeFilter>): void => void (filter.value = { ...filter.value, ...change });
const chosen = (event: Event) => (event.target as HTMLSelectElement).value as never;
</script>

<template>
  <div class="tools" role="group" :aria-label="words.hitsAndFilter">
    <RouterLink
      :to="{ name: 'hits-and-rounds', params: { filmId: data.film.id } }"
      class="count"
      :title="words.toHitsAndRounds"
      >{{ words.hits(hitsAndRounds.hits.length) }}</RouterLink
    >
    <SensitivitySlider class="few" :title="words.fewerOrMoreHits(keys.drawn('fewer-hits'), keys.drawn('more-hits'))" />
    <span class="hint">
      <TextWith :text="words.nextHitHitOrNone">
        <template #key>
          <kbd>{{ keys.drawn('hit-before') }}</kbd>
        </template>
        <template #key2>
          <kbd>{{ keys.drawn('hit-after') }}</kbd>
        </template>
        <template #key3>
          <kbd>{{ keys.drawn('hit-here') }}</kbd>
        </template>
      </TextWith>
    </span>
    <VSpacer />
    <select :value="filter.technique" :aria-label="words.onlyThisTechnique" @change="set({ technique: chosen($event) })">
      <option value="">{{ words.everyTechnique }}</option>
      <option v-for="[id, name] in thrown" :key="id" :value="id">{{ name }}</option>
    </select>
    <select :value="filter.verdict" :aria-label="words.onlyThisVerdict" @change="set({ verdict: chosen($event) })">
      <option value="">{{ words.everyVerdict }}</option>
      <option value="open">{{ words.open }}</option>
      <option v-for="verdict in verdicts" :key="verdict" :value="verdict">{{ verdictNames[verdict] }}</option>
    </select>
    <select :value="filter.third" :aria-label="words.onlyThisThirdOfThe" @change="set({ third: chosen($event) })">
      <option value="">{{ words.wholeRound }}</option>
      <option v-for="third in thirds" :key="third" :value="third">{{ words.thirdThird(third) }}</option>
    </select>
    <button v-if="isFiltering(filter)" type="button" class="all" @click="filter = everyStrike">{{ words.showAll }}</button>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  flex: none;
  height: 26px;
  font-size: var(--type-small);
  white-space: nowrap;
  overflow: hidden;
}
.few {
  flex: 0 1 190px;
  min-width: 110px;
  color: var(--quiet);
  font-size: var(--type-note);
}
.hint {
  color: var(--quiet);
  font-size: var(--type-note);
}
select {
  flex: 0 1 auto;
  min-width: 56px;
  font: inherit;
  color: inherit;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
  border-radius: 3px;
  height: 24px;
}
.all {
  color: rgb(var(--v-theme-primary));
}
@media (max-width: 1200px) {
  .hint {
    display: none;
  }
}
</style>
