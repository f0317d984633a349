<script setup lang="ts">
import { mdiCheck, mdiClose, mdiHelp } from '@mdi/js';
import type { GradeTestDraft } from '@wax-fist/contract/syllabus';
import type { Stance } from '@wax-fist/core/technique';
import { gradeNames } from '@wax-fist/core/trainee';
import { computed, ref } from 'vue';
import { leadInWords } from './leads-in-words.ts';
import { outcomeNames } from './outcome-names.ts';
import type { TestSheetInHand } from './use-test-sheet.ts';
import { syllabusWords as words } from './words.ts';

/** What a sheet comes to, with its reasons; the coach says how it ended. */
const { sheet, stance } = defineProps<{ sheet: TestSheetInHand; stance: Stance; name: string }>();
const { course, draft, result } = sheet;
const icons = { true: mdiCheck, false: mdiClose, undefined: mdiHelp };
const note = ref(draft.value.note);
const says = computed(() => {
  const { passed } = result.value;
  return passed === undefined ? words.notEverythingWasSeenYet : passed ? words.everythingIsPassed : words.somethingIsNotThereYet;
});
/** Against what the sheet says a word of why is asked for. */
const needsWhy = (outcome: GradeTestDraft['outcome']): boolean =>
  outcome !== 'open' && (outcome === 'passed') !== (result.value.passed === true) && note.value.trim() === '';
const keepNote = (): void => void (note.value !== draft.value.note && sheet.change({ note: note.value }));
const end = (outcome: GradeTestDraft['outcome']): void => void sheet.change({ outcome, note: note.value });
</script>

<template>
  <aside :aria-label="words.result">
    <h2>{{ outcomeNames[draft.outcome] }}</h2>
    <p aria-live="polite">{{ says }}</p>
    <ul>
      <li v-for="line in result.lines" :key="`${line.what} ${line.lead}`" :class="`passed-${line.passed}`">
        <VIcon
          :icon="icons[`${line.passed}`]"
          size="20"
          :aria-label="line.passed === undefined ? words.open : line.passed ? words.passed : words.notPassed"
        />
        <span
          >{{ line.what }}<template v-if="line.lead">, {{ leadInWords(line.lead, stance) }}</template>
          <small>{{ line.says }}</small></span
        >
      </li>
    </ul>
    <VTextarea
      v-model="note"
      :label="words.whatTheCoachSays"
      rows="2"
      auto-grow
      hide-details
      maxlength="2000"
      @change="keepNote"
    />
    <p class="acts no-print">
      <VBtn
        v-if="draft.outcome !== 'passed'"
        :color="result.passed ? 'primary' : undefined"
        :variant="result.passed ? 'flat' : 'outlined'"
        :disabled="needsWhy('passed')"
        @click="end('passed')"
        >{{ words.passedTitle }}</VBtn
      >
      <VBtn v-if="draft.outcome !== 'not-yet'" variant="outlined" :disabled="needsWhy('not-yet')" @click="end('not-yet')">{{
        words.notYet
      }}</VBtn>
      <VBtn v-if="draft.outcome !== 'open'" variant="text" @click="end('open')">{{ words.stillGoingOn }}</VBtn>
    </p>
    <p class="quiet no-print">
      <template v-if="draft.outcome === 'passed'">
        {{ words.isNowAndOnThe(name, gradeNames[course.leadsTo].toLowerCase()) }}
      </template>
      <template v-else>{{ words.againstWhatTheSheetSays }}</template>
    </p>
  </aside>
</template>

<style scoped>
ul {
  margin: var(--space-2) 0 var(--space-4);
}
li {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr);
  gap: var(--space-2);
  padding: var(--space-1) 0;
}
small {
  display: block;
  font-size: var(--type-small);
  color: var(--quiet);
}
.passed-true .v-icon {
  color: var(--clean);
}
.passed-false .v-icon {
  color: var(--fault);
}
.passed-undefined .v-icon {
  color: var(--watch);
}
.acts {
  margin: var(--space-3) 0 var(--space-2);
}
</style>
