<script setup lang="ts">
import { syllabusEndpoints } from '@wax-fist/contract/syllabus';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import TestSheetView from './TestSheetView.vue';

/** A test on the floor, or as it was. */
const { testId } = defineProps<{ testId: string }>();
const catalogue = useCatalogue();
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const [test] = await Promise.all([request(syllabusEndpoints.showTest, { params: { testId } }), catalogue.ready()]);
  return { test, trainee: await request(traineeEndpoints.showTrainee, { params: { traineeId: test.traineeId } }) };
});
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <TestSheetView v-if="page" :key="page.test.id" :test="page.test" :trainee="page.trainee" />
    </PageState>
  </div>
</template>
