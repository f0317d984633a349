<script setup lang="ts">
import { planEndpoints, type Plan } from '@wax-fist/contract/plans';
import { ownEndpoints } from '@wax-fist/contract/own';
import { traineeEndpoints, type Trainee } from '@wax-fist/contract/trainees';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { useAccount } from '../accounts/account-store.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import FloorTimer from './FloorTimer.vue';
import { keptFloor } from './floor-state.ts';
import { freshFloor } from './use-floor-timer.ts';

/** The floor timer of a planned session; one that was begun here goes on, with or without a server. */
const { planId } = defineProps<{ planId: string }>();
const router = useRouter();
const catalogue = useCatalogue();
const account = useAccount();
/** Whoever trains alone knows of nobody but themselves. */
async function personOf(traineeId: string): Promise<Pick<Trainee, 'schoolId' | 'stance'>> {
  if (account.worksHere) return request(traineeEndpoints.showTrainee, { params: { traineeId } });
  const own = await request(ownEndpoints.ownTrainees);
  return own.find(({ id }) => id === traineeId)!;
}
const { value, failure, again } = useAnswer(async () => {
  const kept = keptFloor(planId);
  if (kept) return kept;
  const [plan] = await Promise.all([request(planEndpoints.showPlan, { params: { planId } }), catalogue.ready()]);
  if (plan.log) await router.replace({ name: 'plan', params: { planId } });
  const { schoolId, stance } = await personOf(plan.traineeId);
  return freshFloor(plan as Plan, catalogue.bookOf(schoolId), stance);
});
</script>

<template>
  <PageState :failure="value ? undefined : failure" :ready="value !== undefined" class="ma-6" @again="again">
    <FloorTimer v-if="value" :key="planId" :begun="value" />
  </PageState>
</template>
