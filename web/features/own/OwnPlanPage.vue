<script setup lang="ts">
import { mdiTimerPlay } from '@mdi/js';
import { planEndpoints, type Plan } from '@wax-fist/contract/plans';
import { shortDay } from '@wax-fist/core/words';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import DonePlan from '../plans/DonePlan.vue';
import PlanReading from '../plans/PlanReading.vue';
import { ownWords as words } from './words.ts';

/** A planned session as whoever trains it reads it, with the way to the timer. */
const { planId } = defineProps<{ planId: string }>();
const {
  value: plan,
  failure,
  again,
} = useAnswer(async () => (await request(planEndpoints.showPlan, { params: { planId } })) as Plan);
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="plan !== undefined" @again="again">
      <template v-if="plan">
        <div class="page-head">
          <div>
            <p class="quiet">
              <RouterLink :to="{ name: 'own' }">{{ words.back }}</RouterLink>
            </p>
            <h1>{{ shortDay(plan.plannedOn) }}</h1>
          </div>
          <VBtn
            v-if="!plan.log"
            color="primary"
            size="large"
            :prepend-icon="mdiTimerPlay"
            :to="{ name: 'floor-timer', params: { planId } }"
            >{{ words.start }}</VBtn
          >
        </div>
        <DonePlan v-if="plan.log" :plan="{ ...plan, sessions: [] }" />
        <PlanReading v-else :parts="plan.parts" />
      </template>
    </PageState>
  </div>
</template>
