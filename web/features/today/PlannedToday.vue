<script setup lang="ts">
import { mdiTimerPlay } from '@mdi/js';
import { planListEndpoints } from '@wax-fist/contract/plan-lists';
import { clockTime, localDay } from '@wax-fist/core/words';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { todayWords as words } from './words.ts';

/** Who comes today, and with what plan. */
const today = localDay();
const { value: plans } = useAnswer(() => request(planListEndpoints.plansBetween, { query: { from: today, to: today } }));
</script>

<template>
  <section v-if="plans && plans.length > 0" aria-labelledby="on-the-floor">
    <h2 id="on-the-floor">{{ words.onTheFloorToday }}</h2>
    <ul class="list">
      <li v-for="one in plans" :key="one.id" class="entry">
        <RouterLink :to="{ name: 'plan', params: { planId: one.id } }" class="who">{{ one.traineeName }}</RouterLink>
        <span class="quiet number">{{ clockTime(one.length) }}, {{ words.parts(one.parts) }}</span>
        <span v-if="one.doneOn" class="quiet">{{ words.done }}</span>
        <VBtn v-else variant="outlined" :prepend-icon="mdiTimerPlay" :to="{ name: 'floor-timer', params: { planId: one.id } }">{{
          words.toTheFloor
        }}</VBtn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.who {
  font-weight: 700;
}
</style>
