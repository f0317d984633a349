<script setup lang="ts">
import { ownEndpoints } from '@wax-fist/contract/own';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { useFloorLogs } from '../floor/floor-log-store.ts';
import OwnTrainee from './OwnTrainee.vue';

/** Where trainees and guardians begin: what to think of, what to do next, and what the coach has said. */
const logs = useFloorLogs();
const {
  value: people,
  failure,
  again,
} = useAnswer(async () => {
  await logs.send();
  return request(ownEndpoints.ownTrainees);
});
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="people !== undefined" @again="again">
      <OwnTrainee v-for="one in people" :key="one.id" :person="one" />
      <div v-if="people!.length === 0" class="empty">
        Nobody is assigned to you any more. The head coach can do it, under “People and sign-ins”.
      </div>
    </PageState>
  </div>
</template>
