<script setup lang="ts">
import { habitEndpoints } from '@wax-fist/contract/habits';
import type { SessionMeasures } from '@wax-fist/contract/measures';
import { fewestStrikes } from '@wax-fist/core/habits';
import { techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { group } from 'd3-array';
import { computed } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import {
  fallingHands,
  leadInWords,
  moveInWords,
  sessionHabits,
  shareInWords,
  telltaleOf,
  type Telltale,
} from './habits-words.ts';
import HabitTable, { type HabitTableRow } from './HabitTable.vue';
import { habitsWords as words } from './words.ts';

/** What is done again and again in a session, and what of it a partner could read. */
const { sessionId, traineeId, measures, catalogue } = defineProps<{
  sessionId: string;
  traineeId: string;
  measures: SessionMeasures;
  catalogue: Catalogue;
}>();

const mostRows = 6;
const mostNext = 3;
const found = computed(() => (measures.strikes.length >= fewestStrikes ? sessionHabits(measures.strikes, catalogue) : undefined));
/** Comes later: whole films are looked through. */
const { value: moves } = useAnswer(() => request(habitEndpoints.firstMoves, { params: { sessionId } }));
const filmOf = computed(() => new Map(measures.strikes.map(({ strikeId, filmId }) => [strikeId, filmId])));
/** To the first strike that proves it. */
const toStrike = (strikeId = '') => ({ name: 'bench', params: { filmId: filmOf.value.get(strikeId) ?? '', strikeId } });

/** What could be read, with how often and where to look. */
const telltales = computed((): Telltale[] => [
  ...(found.value?.tells ?? []).map((tell) => telltaleOf(tell, catalogue)),
  ...(moves.value ?? [])
    .filter(({ readable }) => readable)
    .map((move) => ({
      told: moveInWords(move, catalogue),
      figures: shareInWords(move),
      strikeId: move.proof.strikeId,
    })),
  ...fallingHands(measures, catalogue).map((habit) => telltaleOf(habit, catalogue)),
]);
const lengths = computed(() =>
  [...(found.value?.habits.lengths ?? [])]
    .sort((a, b) => a.what - b.what)
    .map(({ what, times }) => (what === 1 ? words.singleStrikes(times) : words.ofTimes(times, what)))
    .join(', '),
);
const nameOf = (technique: string | undefined): string =>
  technique === undefined ? 'nothing' : techniqueName(catalogue, technique).toLowerCase();
const follows = computed((): HabitTableRow[] =>
  (found.value?.habits.follows ?? []).slice(0, mostRows).map(({ after, next }) => ({
    name: nameOf(after),
    cells: next.slice(0, mostNext).map((share) => ({
      told: nameOf(share.what),
      figures: share.enough ? shareInWords(share) : words.ofTimes(share.times, share.of),
      strikeId: share.proof[0]!,
    })),
  })),
);
/** What happened once says nothing. */
const before = computed((): HabitTableRow[] =>
  [
    ...group(
      (moves.value ?? []).filter(({ times }) => times > 1),
      ({ technique }) => technique,
    ),
  ]
    .slice(0, mostRows)
    .map(([technique, some]) => ({
      name: nameOf(technique),
      cells: some.map((move) => ({
        told: words.aboutPart(move.part, leadInWords(move)),
        figures: shareInWords(move),
        strikeId: move.proof.strikeId,
      })),
    })),
);
</script>

<template>
  <section v-if="found" aria-labelledby="habits">
    <div class="page-head">
      <h2 id="habits">{{ words.habits }}</h2>
      <VBtn variant="outlined" class="no-print" :to="{ name: 'habits', params: { traineeId } }">{{ words.overSessions }}</VBtn>
    </div>
    <p class="quiet">
      {{ words.combinationOfARoundThat(found.habits.combinations, lengths) }}
    </p>
    <ul v-if="telltales.length > 0">
      <li v-for="{ told, figures, strikeId } in telltales" :key="told">
        <b>{{ told }}</b>
        <span class="number">{{ figures }}</span>
        <RouterLink :to="toStrike(strikeId)" class="no-print">{{ words.look }}</RouterLink>
      </li>
    </ul>
    <p v-else>{{ words.nothingThatAPartnerCould }}</p>
    <HabitTable :title="words.whatFollowsWhat" :heads="[words.after, 'comes']" :rows="follows" :to="toStrike" />
    <HabitTable
      v-if="before.length > 0"
      :title="words.whatMovesBeforeItSets"
      :heads="[words.before, 'moves']"
      :rows="before"
      :to="toStrike"
    />
    <p v-else-if="moves" class="quiet">
      {{ words.nothingMovesBeforeStrikesMore }}
    </p>
  </section>
</template>

<style scoped>
.page-head {
  align-items: flex-end;
  margin: var(--space-6) 0 var(--space-1);
}
ul {
  margin: var(--space-2) 0 var(--space-3);
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: var(--space-0-5) var(--space-3);
  padding: var(--space-1-5) 0;
  border-bottom: 1px solid var(--line);
}
@media (max-width: 599px) {
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
}
</style>
