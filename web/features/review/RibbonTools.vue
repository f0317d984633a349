<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { thirds } from '@wax-fist/core/rounds';
import { verdictNames, verdicts } from '@wax-fist/core/review';
import { techniqueName } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { counted } from '@wax-fist/core/words';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import SensitivitySlider from '../rounds/SensitivitySlider.vue';
import { useReview } from './review-store.ts';
import { everyStrike, isFiltering, type StrikeFilter } from './strike-filter.ts';

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
  <div class="tools" role="group" aria-label="Hits and filter">
    <RouterLink :to="{ name: 'hits-and-rounds', params: { filmId: data.film.id } }" class="count" title="To hits and rounds">{{
      counted(hitsAndRounds.hits.length, 'hit')
    }}</RouterLink>
    <SensitivitySlider class="few" :title="`Fewer or more hits (${keys.drawn('fewer-hits')} ${keys.drawn('more-hits')})`" />
    <span class="hint"
      ><kbd>{{ keys.drawn('hit-before') }}</kbd> <kbd>{{ keys.drawn('hit-after') }}</kbd> next hit,
      <kbd>{{ keys.drawn('hit-here') }}</kbd> hit or none</span
    >
    <VSpacer />
    <select :value="filter.technique" aria-label="Only this technique" @change="set({ technique: chosen($event) })">
      <option value="">Every technique</option>
      <option v-for="[id, name] in thrown" :key="id" :value="id">{{ name }}</option>
    </select>
    <select :value="filter.verdict" aria-label="Only this verdict" @change="set({ verdict: chosen($event) })">
      <option value="">Every verdict</option>
      <option value="open">Open</option>
      <option v-for="verdict in verdicts" :key="verdict" :value="verdict">{{ verdictNames[verdict] }}</option>
    </select>
    <select :value="filter.third" aria-label="Only this third of the round" @change="set({ third: chosen($event) })">
      <option value="">Whole round</option>
      <option v-for="third in thirds" :key="third" :value="third">{{ third }} third</option>
    </select>
    <button v-if="isFiltering(filter)" type="button" class="all" @click="filter = everyStrike">Show all</button>
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
