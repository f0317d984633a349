<script setup lang="ts">
import { mdiTimerPlay, mdiTrashCanOutline } from '@mdi/js';
import { planEndpoints, type Plan, type PlanDraft } from '@wax-fist/contract/plans';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useNotice } from '../../app/notice-store.ts';
import DonePlan from './DonePlan.vue';
import { groundOf } from './plan-ground.ts';
import PlanDeskView from './PlanDeskView.vue';
import PlanHead from './PlanHead.vue';
import PlanReading from './PlanReading.vue';
import { useAccount } from '../accounts/account-store.ts';
import { plansWords as words } from './words.ts';

const account = useAccount();
/** A planned session: changed as long as it waits, told once it was done. */
const { planId } = defineProps<{ planId: string }>();
const router = useRouter();
const notice = useNotice();
const trouble = ref<string>();
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const plan = (await request(planEndpoints.showPlan, { params: { planId } })) as Plan;
  return { plan, ground: await groundOf(plan.traineeId) };
});

async function remove({ log: _, sessions: _sessions, impact: _impact, ...plan }: Plan): Promise<void> {
  try {
    await request(planEndpoints.removePlan, { params: { planId } });
    notice.say(words.thePlanIsGone, () =>
      request(planEndpoints.savePlan, { params: { planId: plan.id }, body: plan as PlanDraft }),
    );
    await router.push({ name: 'floor' });
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <PlanHead :trainee="page.ground.trainee" :day="page.plan.plannedOn">
          <VBtn
            v-if="!page.plan.log"
            color="primary"
            :prepend-icon="mdiTimerPlay"
            class="no-print"
            :to="{ name: 'floor-timer', params: { planId } }"
            >{{ words.toTheFloor }}</VBtn
          >
        </PlanHead>
        <p v-if="trouble" role="alert">{{ trouble }}</p>
        <DonePlan v-if="page.plan.log" :plan="page.plan" />
        <PlanReading v-else-if="!account.judges" :parts="page.plan.parts" />
        <PlanDeskView
          v-else
          :key="JSON.stringify(page.ground.limits)"
          :ground="page.ground"
          :kept="page.plan"
          @saved="notice.say(words.thePlanIsSaved)"
          @ground="again"
        >
          <VBtn variant="text" :prepend-icon="mdiTrashCanOutline" @click="remove(page.plan)">{{ words.takeItAway }}</VBtn>
        </PlanDeskView>
      </template>
    </PageState>
  </div>
</template>
