<script setup lang="ts">
import { mdiFilmstrip, mdiPrinter, mdiTrashCanOutline } from '@mdi/js';
import { syllabusEndpoints, type GradeTest } from '@wax-fist/contract/syllabus';
import type { Trainee } from '@wax-fist/contract/trainees';
import { messageOf } from '@wax-fist/core/message-of';
import { leadsAsked, type TestLead } from '@wax-fist/core/syllabus';
import { wholeDay } from '@wax-fist/core/words';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';
import CountedRow from './CountedRow.vue';
import { leadInWords } from './leads-in-words.ts';
import TestResultView from './TestResultView.vue';
import TriedSetRow from './TriedSetRow.vue';
import { useTestSheet } from './use-test-sheet.ts';
import { syllabusWords as words } from './words.ts';

/** A test, set by set and must-have by must-have, with what it comes to beside it. */
const { test, trainee } = defineProps<{ test: GradeTest; trainee: Trainee }>();
const router = useRouter();
const notice = useNotice();
const account = useAccount();
const sheet = useTestSheet(test);
const { course, draft, waits, trouble } = sheet;
const failure = ref<string>();
const leads = leadsAsked(course);
const stands = (lead: TestLead): string => (course.bothLeads ? leadInWords(lead, trainee.stance) : '');
const mayRemove = computed(() => account.may(syllabusEndpoints.removeTest, account.me?.id));

async function act(doing: () => Promise<unknown>): Promise<void> {
  failure.value = undefined;
  await doing().catch((error: unknown) => (failure.value = messageOf(error)));
}
const fromFilms = () =>
  act(async () => {
    const films = await sheet.fromFilms();
    notice.say(films === 0 ? words.noFilmOfThisDay : words.takenFromFilmWhatWas(films));
  });
const remove = () =>
  act(async () => {
    const gone = draft.value;
    await request(syllabusEndpoints.removeTest, { params: { testId: gone.id } });
    notice.say(words.theTestIsGone, () => request(syllabusEndpoints.saveTest, { params: { testId: gone.id }, body: gone }));
    await router.push({ name: 'trainee-test', params: { traineeId: trainee.id } });
  });
const print = (): void => window.print();
</script>

<template>
  <div class="page-head">
    <div>
      <p class="quiet">
        <RouterLink :to="{ name: 'trainee-test', params: { traineeId: trainee.id } }">{{ trainee.name }}</RouterLink>,
        {{ trainee.stance }}, {{ wholeDay(draft.heldOn) }}
      </p>
      <h1>{{ words.testName(course.name.toLowerCase()) }}</h1>
    </div>
    <span class="acts no-print">
      <VBtn variant="outlined" :prepend-icon="mdiFilmstrip" @click="fromFilms">{{ words.takeFromFilms }}</VBtn>
      <VBtn variant="outlined" :prepend-icon="mdiPrinter" @click="print">{{ words.print }}</VBtn>
      <VBtn v-if="mayRemove" variant="text" :prepend-icon="mdiTrashCanOutline" @click="remove">{{ words.takeAway }}</VBtn>
    </span>
  </div>
  <p v-if="failure ?? trouble" class="trouble" role="alert">{{ failure ?? trouble }}</p>
  <div class="page-columns">
    <div>
      <h2>{{ words.setsByHeart }}</h2>
      <ul class="list">
        <template v-for="set in course.sets" :key="set.id">
          <TriedSetRow v-for="lead in leads" :key="lead" :set="set" :lead="lead" :stands="stands(lead)" :sheet="sheet" />
        </template>
      </ul>
      <h2>{{ words.mustHavesStrikeByStrike }}</h2>
      <ul class="list">
        <template v-for="one in course.mustHaves" :key="`${one.technique} ${one.checkpointId}`">
          <CountedRow v-for="lead in leads" :key="lead" :must-have="one" :lead="lead" :stands="stands(lead)" :sheet="sheet" />
        </template>
      </ul>
    </div>
    <TestResultView :sheet="sheet" :stance="trainee.stance" :name="trainee.name" />
  </div>
  <p class="unseen" role="status">{{ waits ? words.notSentYet : words.everythingIsSent }}</p>
</template>

<style scoped>
.trouble {
  padding: var(--space-2) var(--space-3);
  background: var(--watch-ground);
}
@media print {
  .page-columns {
    display: block;
  }
}
</style>
