<script setup lang="ts">
import { mdiDatabaseImportOutline } from '@mdi/js';
import { marksEndings } from '@wax-fist/contract/marks-elsewhere';
import type { KnownStrike } from '@wax-fist/core/marks-elsewhere';
import { percent } from '@wax-fist/core/words';
import { computed, watch } from 'vue';
import type { BenchData } from '../review/use-bench-data.ts';
import OneFile from '../../app/OneFile.vue';
import { useMarksBeside } from './marks-beside-store.ts';
import TableMapping from './TableMapping.vue';
import { useMarksElsewhere } from './use-marks-elsewhere.ts';
import { marksElsewhereWords as words } from './words.ts';

/** Marks that were made elsewhere are looked through, and then read into a film. */
const { data, already, changed } = defineProps<{
  data: BenchData;
  /** What the film has. */
  already: readonly KnownStrike[];
  /** No event: the page is asked, and what it answers is waited for. */
  changed: () => unknown;
}>();
const { file, table, mapping, failure, written, done, read, marks, choose, readIn } = useMarksElsewhere(
  data,
  () => already,
  () => changed(),
);
// What was chosen together with the film is looked through at once.
const beside = useMarksBeside();
const { id: sessionId } = data.session;
const chosenBefore = beside.beside(sessionId, data.film.fileName);
if (chosenBefore) void choose(chosenBefore);
watch(done, (now) => now && file.value && beside.forget(sessionId, file.value.name));
const verdicts = computed(() => read.value.strikes.reduce((sum, one) => sum + one.verdicts.length, 0));
const here = computed(() => read.value.strikes.filter(({ strikeId }) => strikeId).length);
/** Many problems are mostly one. */
const shownProblems = 50;
</script>

<template>
  <OneFile
    :label="words.fileCsvWebvttSubripOr"
    :accept="[...marksEndings, 'text/csv', 'text/vtt'].join(',')"
    class="mb-4"
    @choose="choose"
  />
  <p v-if="failure" class="text-error" role="alert">{{ failure }}</p>
  <template v-if="file">
    <p class="quiet">{{ file.name }}</p>
    <TableMapping v-if="table" v-model="mapping" :table="table" />
    <p role="status">
      <b>{{ words.strikes(read.strikes.length) }}, {{ words.verdicts(verdicts) }}</b
      ><template v-if="here > 0">{{ words.strikeOfThemTheFilm(here) }}</template
      ><template v-if="!done && read.strikes.length > 0 && marks.length === 0">{{ words.withAllThatIsSaid }}</template>.
    </p>
    <details v-if="read.problems.length > 0" open>
      <summary>{{ words.rowCannotBeRead(read.problems.length) }}</summary>
      <ul class="bulleted">
        <li v-for="{ place, says } in read.problems.slice(0, shownProblems)" :key="`${place} ${says}`">
          {{ table ? words.row : words.no }} <span class="number">{{ place }}</span>: {{ says }}
        </li>
        <li v-if="read.problems.length > shownProblems">{{ words.andMore(read.problems.length - shownProblems) }}</li>
      </ul>
    </details>
    <p v-if="done" role="status">
      {{ words.readIn }} <RouterLink :to="{ name: 'bench', params: { filmId: data.film.id } }">{{ words.toTheBench }}</RouterLink>
    </p>
    <VBtn
      v-else
      color="primary"
      :prepend-icon="mdiDatabaseImportOutline"
      :disabled="marks.length === 0"
      :loading="written !== undefined"
      @click="readIn"
      >{{ read.problems.length > 0 ? words.readInTheRest : words.readThemIn }}</VBtn
    >
    <span v-if="written !== undefined" class="number"> {{ percent(written) }}</span>
  </template>
</template>

<style scoped>
ul {
  max-height: 260px;
  overflow: auto;
}
details {
  margin-bottom: var(--space-3);
}
</style>
