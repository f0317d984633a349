<script setup lang="ts">
import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { proposalFor } from '@wax-fist/core/measure';
import { bandProblem, isMeasureId, measures, type Band } from '@wax-fist/core/technique';
import { computed, ref, watch } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import BandMark from './BandMark.vue';
import { checklistsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** The four ends of a band, drawn, with what they would make of the strikes that were measured already. */
const { band, usual, measure, technique } = defineProps<{
  band: Band | undefined;
  usual: Band;
  measure: string;
  technique: string;
}>();
const emit = defineEmits<{ change: [band: Band | undefined] }>();
const held = computed(() => band ?? usual);
const ends = ref<string[]>([]);
watch(
  held,
  ({ clean, watch: beyond }) =>
    (ends.value = [beyond[0], clean[0], clean[1], beyond[1]].map((end) => (end === null ? '' : String(end)))),
  { immediate: true },
);
const names = [words.watchFrom, words.cleanFrom, words.cleanTo, words.watchTo];
const { value: reps } = useAnswer(() => request(checklistEndpoints.measuredStrikes, { params: { technique, measure } }));

const typed = computed<Band>(() => {
  const [from, cleanFrom, cleanTo, to] = ends.value.map((text) =>
    text.trim() === '' ? null : Number(text.replace(',', '.')),
  ) as [number | null, number | null, number | null, number | null];
  return { clean: [cleanFrom, cleanTo], watch: [from, to] };
});
const problem = computed(() => bandProblem(typed.value));
const keep = (): void => {
  if (!problem.value) emit('change', JSON.stringify(typed.value) === JSON.stringify(usual) ? undefined : typed.value);
};
/** How many of the measured strikes would be proposed as what. */
const counted = (of: Band) => {
  const verdicts = (reps.value ?? []).map((one) => proposalFor(of, one)?.verdict ?? words.tooClose);
  const count = (what: string): number => verdicts.filter((verdict) => verdict === what).length;
  return words.cleanWatchFaultTooClose(count('clean'), count('watch'), count('fault'), count(words.tooClose));
};
</script>

<template>
  <fieldset class="band">
    <legend>
      {{ isMeasureId(measure) ? `${measures[measure].name}: ${measures[measure].of}` : measure }}
    </legend>
    <BandMark :band="problem ? held : typed" :measure="measure" :values="reps ?? []" />
    <div class="ends">
      <VTextField
        v-for="(name, place) in names"
        :key="name"
        v-model="ends[place]"
        :label="name"
        inputmode="decimal"
        :placeholder="words.open"
        density="compact"
        hide-details
        @change="keep"
      />
      <VBtn v-if="band" variant="text" size="small" @click="emit('change', undefined)">{{ words.asItShips }}</VBtn>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="reps && reps.length > 0" class="quiet" data-effect>
      <TextWith :text="words.ofMeasured(reps.length, counted(typed))">
        <template #usual>
          <template v-if="band">{{ words.asItShipsUsual(counted(usual)) }}</template>
        </template>
      </TextWith>
    </p>
    <p v-else class="quiet">{{ words.noStrikeIsMeasuredFor }}</p>
  </fieldset>
</template>

<style scoped>
.band {
  border: 0;
  grid-column: 1 / -1;
}
legend {
  font-size: var(--type-small);
  margin-bottom: var(--space-1);
}
.ends {
  margin-top: var(--space-6);
  display: flex;
  gap: var(--space-2);
  align-items: center;
  max-width: 620px;
}
.problem {
  color: var(--fault);
}
</style>
