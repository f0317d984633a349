<script setup lang="ts">
import { mdiCalendarPlus, mdiDumbbell, mdiRuler, mdiTimerPlay } from '@mdi/js';
import { everyRow } from '@wax-fist/contract/page';
import { planEndpoints, type PlanOfDay } from '@wax-fist/contract/plans';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { clockTime, counted, localDay, shortDay } from '@wax-fist/core/words';
import { groups } from 'd3-array';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useFloorLogs } from './floor-log-store.ts';

/** What is done on the floor: sessions by their day, and the way to a new one. */
const router = useRouter();
const logs = useFloorLogs();
const today = localDay();
/** A week back, for what was done or forgotten, and two on. */
const query = { from: localDay(-7), to: localDay(14) };
const { value, failure, again } = useAnswer(async () => {
  const [plans, trainees] = await Promise.all([
    request(planEndpoints.plansBetween, { query }),
    everyRow((page) => request(traineeEndpoints.listTrainees, { query: page })),
  ]);
  return { plans, trainees };
});
onMounted(async () => {
  if (await logs.send()) await again();
});
const whom = ref<string | null>(null);
const days = computed(() => groups(value.value?.plans ?? [], ({ plannedOn }) => plannedOn));
const dayName = (day: string): string => (day === today ? `Today, ${shortDay(day)}` : shortDay(day));
const stands = ({ doneOn, plannedOn }: PlanOfDay): string => {
  if (doneOn) return 'done';
  return plannedOn < today ? 'not done' : '';
};
const plan = (id: string | null): void => void (id && router.push({ name: 'new-plan', params: { traineeId: id } }));
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Floor</h1>
      <span class="acts"
        ><VBtn variant="outlined" :prepend-icon="mdiDumbbell" :to="{ name: 'drills' }">Drills</VBtn>
        <VBtn variant="outlined" :prepend-icon="mdiRuler" :to="{ name: 'set-up' }">Set-up</VBtn></span
      >
    </div>
    <p v-if="logs.waiting > 0" class="waits" role="status">
      {{ counted(logs.waiting, 'session') }} that {{ logs.waiting === 1 ? 'was' : 'were' }} done
      {{ logs.waiting === 1 ? 'waits' : 'wait' }} here for a connection. Nothing is lost.
    </p>
    <PageState :failure="failure" :ready="value !== undefined" @again="again">
      <section class="new">
        <VIcon :icon="mdiCalendarPlus" size="28" />
        <VAutocomplete
          v-model="whom"
          :items="value!.trainees"
          item-value="id"
          item-title="name"
          label="Plan a session for"
          density="comfortable"
          hide-details
          @update:model-value="plan"
        />
      </section>
      <section v-for="[day, plans] in days" :key="day">
        <h2>{{ dayName(day) }}</h2>
        <ul class="list">
          <li v-for="one in plans" :key="one.id">
            <RouterLink :to="{ name: 'plan', params: { planId: one.id } }" class="planned">
              <b>{{ one.traineeName }}</b>
              <span class="quiet number"
                >{{ clockTime(one.length) }}, {{ counted(one.parts, 'part') }}, {{ counted(one.impact, 'hard round') }}</span
              >
              <span class="quiet">{{ stands(one) }}</span>
            </RouterLink>
            <VBtn
              v-if="!one.doneOn && day <= today"
              color="primary"
              :prepend-icon="mdiTimerPlay"
              :to="{ name: 'floor-timer', params: { planId: one.id } }"
              >To the floor</VBtn
            >
          </li>
        </ul>
      </section>
      <div v-if="days.length === 0" class="empty">
        Nothing is planned. Choose a trainee: a session is made from what they work on, what is due and what is there, and you
        change it.
      </div>
    </PageState>
  </div>
</template>

<style scoped>
.new {
  display: flex;
  align-items: center;
  gap: 12px;
  max-width: 460px;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  padding-right: 12px;
}
.planned {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr) auto;
  gap: 2px 16px;
  padding: 12px 14px;
  color: inherit;
  text-decoration: none;
}
.waits {
  padding: 8px 12px;
  margin-bottom: 12px;
  background: var(--watch-ground);
}
@media screen and (max-width: 899px) {
  .planned {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
