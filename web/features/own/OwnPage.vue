<script setup lang="ts">
import { ownEndpoints } from '@wax-fist/contract/own';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { useFloorLogs } from '../floor/floor-log-store.ts';
import OwnTrainee from './OwnTrainee.vue';
import ReviewRows from './ReviewRows.vue';
import { ownWords as words } from './words.ts';

/** Where trainees and guardians begin: what to think of, what to do next, and what the coach has said. */
const logs = useFloorLogs();
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  await logs.send();
  const [people, shown] = await Promise.all([request(ownEndpoints.ownTrainees), request(ownEndpoints.shownReviews)]);
  return { people, shown };
});
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <OwnTrainee v-for="one in page!.people" :key="one.id" :person="one" />
      <div v-if="page!.people.length === 0" class="empty">
        {{ words.nobodyIsAssignedToYou }}
      </div>
      <section v-if="page!.shown.length > 0" :aria-label="words.shownToTheClub">
        <h2>{{ words.shownToTheClub }}</h2>
        <ReviewRows :reviews="page!.shown" />
      </section>
    </PageState>
  </div>
</template>
