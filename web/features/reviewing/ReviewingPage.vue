<script setup lang="ts">
import { reviewingEndpoints } from '@wax-fist/contract/reviewing';
import { agreementOfCoaches, wordingOf } from '@wax-fist/core/review';
import { computed } from 'vue';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import EffortChart from './EffortChart.vue';
import { costFigures, costOf, costOfWeeks, inNeedOfWords } from './reviewing-words.ts';
import RowAgreement from './RowAgreement.vue';
import { reviewingWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** How this club reviews: what it costs, and whether its coaches read the same row the same way. */
const catalogue = useCatalogue();
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const [weeks, pairs] = await Promise.all([
    request(reviewingEndpoints.effort),
    request(reviewingEndpoints.agreement),
    catalogue.ready(),
  ]);
  return { weeks, pairs };
});
const lastWeeks = 4;
const lately = computed(() => {
  const cost = costOfWeeks(page.value?.weeks.slice(-lastWeeks) ?? []);
  return costFigures.flatMap(({ id, name, written }) => {
    const value = cost[id];
    return value === undefined ? [] : [{ name: name.toLowerCase(), says: written(value) }];
  });
});
const anyWork = computed(() =>
  page.value?.weeks.some((week) => Object.values(costOf(week)).some((value) => value !== undefined)),
);
const rows = computed(() =>
  (page.value?.pairs ?? [])
    .flatMap(({ checkpointId, films, seenByOne }) => {
      const checkpoint = catalogue.newest.checkpoints.get(checkpointId);
      const agreement = agreementOfCoaches(films);
      return checkpoint ? [{ checkpoint, films, seenByOne, agreement, wording: wordingOf(agreement) }] : [];
    })
    .sort(inNeedOfWords),
);
const unclear = computed(() => rows.value.filter(({ wording }) => wording === 'unclear').length);
</script>

<template>
  <div class="page">
    <h1>{{ words.howWeReview }}</h1>
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <h2>{{ words.whatItCosts }}</h2>
        <p v-if="lately.length > 0" class="quiet">
          <TextWith :text="words.lastFourWeeks">
            <template #place>
              <template v-for="({ name, says }, place) in lately" :key="name"
                >{{ place > 0 ? ', ' : '' }}<b class="number">{{ says }}</b> {{ name }}</template
              >
            </template>
          </TextWith>
        </p>
        <EffortChart v-if="anyWork" :weeks="page.weeks" class="mt-4" />
        <div v-else class="empty">{{ words.nothingWasReviewedInThe }}</div>

        <h2>{{ words.doWeReadRowsAlike }}</h2>
        <p class="quiet">
          {{ words.twoCoachesMarkTheSame }}
          <b v-if="unclear > 0">{{ words.unclearUnclear(unclear) }}</b>
        </p>
        <table v-if="rows.length > 0">
          <thead>
            <tr>
              <th>{{ words.row }}</th>
              <th class="figure">{{ words.bothJudged }}</th>
              <th>{{ words.theSame }}</th>
              <th>{{ words.beyondChance }}</th>
              <th>{{ words.itsWordsAre }}</th>
            </tr>
          </thead>
          <RowAgreement v-for="row in rows" :key="row.checkpoint.id" v-bind="row" />
        </table>
        <div v-else class="empty">
          {{ words.noFilmHasBeenMarked }}
        </div>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-size: var(--type-small);
  color: var(--quiet);
  font-weight: 400;
  padding: var(--space-1) var(--space-3) var(--space-1) 0;
}
.figure {
  text-align: right;
}
@media screen and (max-width: 899px) {
  thead {
    display: none;
  }
  table {
    display: block;
  }
}
</style>
