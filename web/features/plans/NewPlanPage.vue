<script setup lang="ts">
import { useRouter } from 'vue-router';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { useNotice } from '../../app/notice-store.ts';
import { groundOf } from './plan-ground.ts';
import PlanDeskView from './PlanDeskView.vue';
import PlanHead from './PlanHead.vue';
import { plansWords as words } from './words.ts';

/** A new session for a trainee: it is there as soon as the page is, and changes with what it is planned from. */
const { traineeId } = defineProps<{ traineeId: string }>();
const router = useRouter();
const notice = useNotice();
const { value: ground, failure, again } = useAnswer(() => groundOf(traineeId));

async function saved({ id }: { id: string }): Promise<void> {
  notice.say(words.theSessionIsPlanned);
  await router.push({ name: 'plan', params: { planId: id } });
}
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="ground !== undefined" @again="again">
      <template v-if="ground">
        <PlanHead :trainee="ground.trainee" />
        <PlanDeskView :key="JSON.stringify(ground.limits)" :ground="ground" @saved="saved" @ground="again" />
      </template>
    </PageState>
  </div>
</template>
