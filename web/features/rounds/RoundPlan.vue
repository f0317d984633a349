<script setup lang="ts">
import type { Round } from '@wax-fist/contract/rounds';
import type { StrikeMark } from '@wax-fist/contract/review';
import { callEndpoints } from '@wax-fist/contract/calls';
import {
  attemptsIn,
  matchCalls,
  matchRecipe,
  parseRecipe,
  sayInWords,
  techniquesOf,
  withinBounds,
  type CallBook,
} from '@wax-fist/core/calls';
import { timeOf, type FrameTimeline } from '@wax-fist/core/film';
import { thrownAs, type Catalogue, type Stance } from '@wax-fist/core/technique';
import { computed, ref, watch } from 'vue';
import { request } from '../../app/request.ts';
import { decimal, percent } from '@wax-fist/core/words';
import { useAnswer } from '../../app/use-answer.ts';
import CombinationField from '../calls/CombinationField.vue';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import { roundsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What was planned for a round, and how much of it was thrown. */
const { round, strikes, timeline, book, catalogue, stance } = defineProps<{
  round: Round;
  strikes: readonly StrikeMark[];
  timeline: FrameTimeline;
  book: CallBook;
  catalogue: Catalogue;
  stance: Stance;
}>();
const hitsAndRounds = useHitsAndRounds();
const { value: sets } = useAnswer(() => request(callEndpoints.listCallSets));
const text = ref(round.planned);
watch(
  () => round.planned,
  (planned) => (text.value = planned),
);
/** Kept in words, so that another call book does not change what was planned. */
function keep(): void {
  const parsed = parseRecipe(text.value, { book, catalogue, stance });
  if (!parsed.ok && text.value.trim()) return;
  const { recipe } = parsed.ok ? parsed : { recipe: undefined };
  const planned =
    recipe?.kind === 'in turn' ? recipe.combinations.map((one) => sayInWords(one, catalogue)).join('; ') : text.value.trim();
  if (planned !== round.planned)
    hitsAndRounds.setRounds(
      hitsAndRounds.rounds.map((one) => (one.id === round.id ? { ...one, planned, proposed: false } : one)),
    );
  text.value = planned;
}
const take = (event: Event): void => {
  const { value } = event.target as HTMLSelectElement;
  if (!value) return;
  text.value = value;
  keep();
};

/** What was tagged in this round, combination by combination. */
const seen = computed(() => {
  const tagged = strikes
    .map((strike) => ({ technique: thrownAs(catalogue, strike), time: timeOf(timeline, strike.contactFrame) }))
    .filter(({ time }) => time >= round.from && time < round.to);
  return attemptsIn(tagged, hitsAndRounds.edits.gap);
});
const says = computed(() => {
  const parsed = parseRecipe(round.planned, { book, catalogue, stance });
  if (!round.planned || !parsed.ok || seen.value.length === 0) return undefined;
  const { recipe } = parsed;
  if (recipe.kind === 'free')
    return { kind: 'free' as const, kept: withinBounds(recipe, seen.value), of: seen.value.length, recipe };
  return {
    kind: 'in turn' as const,
    combinations: matchRecipe(recipe, seen.value).map((one, place) => ({
      ...one,
      said: sayInWords(recipe.combinations[place]!, catalogue),
    })),
  };
});
/** The attempt that was least like the plan, step by step. */
const worst = computed(() => {
  const parsed = parseRecipe(round.planned, { book, catalogue, stance });
  if (!parsed.ok || parsed.recipe.kind !== 'in turn') return undefined;
  const { combinations } = parsed.recipe;
  const all = seen.value.map((attempt, turn) => matchCalls(techniquesOf(combinations[turn % combinations.length]!), attempt));
  const poorest = all.reduce((low, one, turn) => (one.score < (all[low]?.score ?? 1) ? turn : low), -1);
  return poorest < 0 ? undefined : { turn: poorest + 1, ...all[poorest]! };
});
const nameOf = (id: string): string => catalogue.techniques.get(id)?.name.toLowerCase() ?? id;
/** Of calls that are alike each bears a part of what was left out. */
const timesOf = (count: number): string => (Number.isInteger(count) ? String(count) : decimal(count, 1));
</script>

<template>
  <section class="plan" :aria-label="words.plannedAndThrown">
    <div class="line">
      <CombinationField
        v-model="text"
        :label="words.plannedForExample"
        :book="book"
        :catalogue="catalogue"
        :stance="stance"
        recipe
        class="field"
        @done="keep"
      />
      <select v-if="sets && sets.length > 0" :aria-label="words.takeASet" @change="take">
        <option value="">{{ words.takeASetTitle }}</option>
        <option v-for="set in sets" :key="set.id" :value="set.recipe">{{ set.name }}</option>
      </select>
    </div>
    <p v-if="!round.planned" class="quiet">{{ words.nothingIsPlannedWriteWhat }}</p>
    <p v-else-if="seen.length === 0" class="quiet">{{ words.noStrikeOfThisRound }}</p>
    <p v-if="says?.kind === 'free'">
      <TextWith :text="words.ofCombinationsHadToStrikes(says.recipe.fewest, says.recipe.most)">
        <template #kept>
          <b class="number">{{ says.kept }}</b>
        </template>
        <template #part>
          <span class="number">{{ says.of }}</span>
        </template>
      </TextWith>
    </p>
    <template v-if="says?.kind === 'in turn'">
      <div v-for="({ planned, says: set, said }, index) in says.combinations" :key="index" class="set">
        <p>
          <TextWith :text="words.completeOfTimesAsPlanned(said, percent(set.score))">
            <template #complete>
              <b class="number">{{ set.complete }}</b>
            </template>
            <template #attempts>
              <span class="number">{{ set.attempts }}</span>
            </template>
          </TextWith>
        </p>
        <ol v-if="set.attempts > 0">
          <li v-for="(technique, place) in planned" :key="place" :class="{ lost: set.leftOut[place]! > 0 }">
            {{ nameOf(technique) }}
            <small v-if="set.leftOut[place]! > 0">{{ words.leftOut(timesOf(set.leftOut[place]!)) }}</small>
          </li>
        </ol>
      </div>
      <p v-if="worst && worst.score < 1" class="quiet">
        {{ words.furthestFromItAttempt(worst.turn, worst.steps.map(({ kind }) => kind).join(', ')) }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.plan {
  margin-top: var(--space-4);
}
.line {
  display: flex;
  gap: var(--space-2);
  align-items: flex-start;
  margin-bottom: var(--space-2);
}
.field {
  flex: 1;
}
select {
  height: 40px;
  border: 1px solid var(--line);
  padding: 0 var(--space-2);
  font: inherit;
}
ol {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-1-5);
}
.set li {
  border: 1px solid var(--line);
  padding: var(--space-0-5) var(--space-2);
}
.lost {
  border-color: var(--fault);
  color: var(--fault);
}
</style>
