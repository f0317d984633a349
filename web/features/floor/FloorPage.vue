<script setup lang="ts">
import {
  mdiAccountGroup,
  mdiAccountMultiple,
  mdiAccountMultipleCheck,
  mdiCalendarPlus,
  mdiChevronLeft,
  mdiChevronRight,
  mdiDumbbell,
  mdiMapMarkerPath,
  mdiRuler,
} from '@mdi/js';
import { localDay, shortDay } from '@wax-fist/core/words';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import PageState from '../../app/PageState.vue';
import { sendLeftFloorFilms } from './floor-films.ts';
import { isDay } from './is-day.ts';
import { useFloorLogs } from './floor-log-store.ts';
import ClosedDays from './ClosedDays.vue';
import { useWeek } from './use-week.ts';
import WeekBoard from './WeekBoard.vue';
import { useAccount } from '../accounts/account-store.ts';
import { floorWords as words } from './words.ts';

const account = useAccount();
/** What is done on the floor: the sessions of a week on their days, and the way to a new one. */
const route = useRoute();
const router = useRouter();
const logs = useFloorLogs();
const today = localDay();
const week = useWeek(computed(() => (isDay(route.query.week) ? route.query.week : today)));
const { plans, trainees, failure, trouble, again, days } = week;
onMounted(async () => {
  if (await logs.send()) await again();
  await sendLeftFloorFilms().catch(() => undefined);
});
const whom = ref<string | null>(null);
const plan = (id: string | null): void => void (id && router.push({ name: 'new-plan', params: { traineeId: id } }));
const isThis = computed(() => days.value.includes(today));
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ words.floor }}</h1>
      <span class="acts">
        <VBtn variant="outlined" :prepend-icon="mdiDumbbell" :to="{ name: 'drills' }">{{ words.drills }}</VBtn>
        <VBtn variant="outlined" :prepend-icon="mdiMapMarkerPath" :to="{ name: 'syllabus' }">{{ words.syllabus }}</VBtn>
        <VBtn v-if="account.judges" variant="outlined" :prepend-icon="mdiAccountMultiple" :to="{ name: 'pair' }">{{
          words.two
        }}</VBtn>
        <VBtn variant="outlined" :prepend-icon="mdiAccountGroup" :to="{ name: 'stations' }">{{ words.group }}</VBtn>
        <VBtn variant="outlined" :prepend-icon="mdiRuler" :to="{ name: 'set-up' }">{{ words.setUp }}</VBtn>
      </span>
    </div>
    <p v-if="logs.waiting > 0" class="waits" role="status">
      {{ words.doneSessionsWaitHere(logs.waiting) }}
    </p>
    <PageState :failure="failure" :ready="plans !== undefined && trainees !== undefined" @again="again">
      <div class="head">
        <template v-if="account.judges">
          <VIcon :icon="mdiCalendarPlus" size="28" />
          <VAutocomplete
            v-model="whom"
            :items="trainees!"
            item-value="id"
            item-title="name"
            :label="words.planASessionFor"
            density="comfortable"
            hide-details
            class="whom"
            @update:model-value="plan"
          />
          <VBtn
            variant="outlined"
            :prepend-icon="mdiAccountMultipleCheck"
            :to="{ name: 'week-plan', query: { week: days[0]! } }"
            >{{ words.everybodysWeek }}</VBtn
          >
          <ClosedDays :closures="week.closures.value" @changed="week.besideAgain" />
        </template>
        <span class="weeks">
          <VBtn
            :icon="mdiChevronLeft"
            variant="text"
            :active="false"
            :to="{ query: { week: week.weekFrom(-1) } }"
            :aria-label="words.theWeekBefore"
          />
          <b class="number">{{ shortDay(days[0]!) }} – {{ shortDay(days[6]!) }}</b>
          <VBtn
            :icon="mdiChevronRight"
            variant="text"
            :active="false"
            :to="{ query: { week: week.weekFrom(1) } }"
            :aria-label="words.theWeekAfter"
          />
          <VBtn v-if="!isThis" variant="text" :active="false" :to="{ query: {} }">{{ words.thisWeek }}</VBtn>
        </span>
      </div>
      <p v-if="trouble" class="text-error" role="alert">{{ trouble }}</p>
      <WeekBoard :week="week" />
      <p v-if="plans!.length === 0" class="empty">
        {{ words.nothingIsPlannedThisWeek }}
      </p>
    </PageState>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-3);
}
.whom {
  flex: 0 1 360px;
}
.weeks {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-1);
  margin-left: auto;
}
.waits {
  padding: var(--space-2) var(--space-3);
  margin-bottom: var(--space-3);
  background: var(--watch-ground);
}
.empty {
  margin-top: var(--space-3);
}
</style>
