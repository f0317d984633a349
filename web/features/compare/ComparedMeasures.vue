<script setup lang="ts">
import { isMeasureId, measures } from '@wax-fist/core/technique';
import { computed } from 'vue';
import FamilySign from '../checklists/FamilySign.vue';
import { doubtInWords, measuredInWords, valueInWords } from '../checklists/measured-words.ts';
import VerdictSign from '../review/VerdictSign.vue';
import type { ComparedRow } from './compared-measures.ts';
import { compareWords as words } from './words.ts';

/** What was said and measured of both, row by row, and by how much it differs. */
const { rows } = defineProps<{ rows: readonly ComparedRow[] }>();
const lines = computed(() =>
  rows.map(({ checkpoint, said, measured, difference }) => {
    const { measure } = checkpoint;
    const sign = difference && difference.value > 0 ? '+' : '';
    return {
      checkpoint,
      what: isMeasureId(measure) ? measures[measure].name : undefined,
      sides: [0, 1].map((place) => ({
        verdict: said[place],
        said: measured[place] && measuredInWords(measure, measured[place]),
      })),
      clear: difference?.clear ?? false,
      difference:
        difference && `${sign}${valueInWords(measure, difference.value)} ± ${doubtInWords(measure, difference.doubt, null)}`,
    };
  }),
);
</script>

<template>
  <table>
    <thead>
      <tr>
        <th>{{ words.row }}</th>
        <th>{{ words.first }}</th>
        <th>{{ words.second }}</th>
        <th>{{ words.differsBy }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ checkpoint, what, sides, difference, clear } in lines" :key="checkpoint.id">
        <td>
          <span class="row"><FamilySign :family="checkpoint.family" /> {{ checkpoint.name }}</span>
          <small v-if="what && difference" class="quiet">{{ what }}</small>
        </td>
        <td v-for="({ verdict, said }, place) in sides" :key="place" class="number">
          <VerdictSign :verdict="verdict" :size="14" /> {{ said }}
        </td>
        <td class="number" :class="{ quiet: !clear }">
          <template v-if="difference">{{ difference }}<small v-if="!clear">{{ words.noClearDifference }}</small></template>
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="rows.length === 0" class="quiet">{{ words.nothingWasJudgedOrMeasured }}</p>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--type-small);
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
}
td,
th {
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
  vertical-align: top;
}
tbody tr {
  border-top: 1px solid var(--line);
}
.row {
  display: flex;
  gap: var(--space-1-5);
  align-items: center;
}
small {
  display: block;
  font-size: var(--type-note);
}
</style>
