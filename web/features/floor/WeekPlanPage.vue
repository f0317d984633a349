<script setup lang="ts">
import { mdiCheck, mdiContentSave, mdiWeightLifter } from '@mdi/js';
import { impactRounds } from '@wax-fist/core/plan';
import { isClosed } from '@wax-fist/core/syllabus';
import { localDay, shortDay } from '@wax-fist/core/words';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useNotice } from '../../app/notice-store.ts';
import PageState from '../../app/PageState.vue';
import KitFields from '../plans/KitFields.vue';
import { isDay } from './is-day.ts';
import { useWeekPlan } from './use-week-plan.ts';
import { floorWords as words } from './words.ts';

/** A week for everybody: the days on which each comes, then all sessions at once. */
const route = useRoute();
const router = useRouter();
const notice = useNotice();
const week = useWeekPlan(isDay(route.query.week) ? route.query.week : localDay());
const { days, page, failure, again, asked, comes, coming, planned, trouble, busy, kept } = week;
const sessions = computed(() => coming.value.reduce((sum, { trainee }) => sum + comes[trainee.id]!.length, 0));
const closedOn = (day: string): string | undefined => page.value?.closures.find((one) => isClosed([one], day))?.name;
const madeFor = (traineeId: string, day: string) =>
  planned.value?.plans.find((one) => one.traineeId === traineeId && one.day === day)?.made;
const nameOf = (id: string): string => page.value?.grounds.find(({ trainee }) => trainee.id === id)?.trainee.name ?? '';
const weekday = (day: string): string => shortDay(day).slice(0, 3);

async function keep(): Promise<void> {
  const plans = await week.keep();
  if (plans.length === 0) return;
  notice.say(words.sessionPlanned(plans.length), () => week.takeBack(plans));
  if (!trouble.value) await router.push({ name: 'floor', query: { week: days[0]! } });
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <p class="quiet">
          <RouterLink :to="{ name: 'floor', query: { week: days[0]! } }">{{ words.floor }}</RouterLink>
        </p>
        <h1>{{ words.planTheWeekFrom(shortDay(days[0]!)) }}</h1>
      </div>
    </div>
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <form class="asked" @submit.prevent>
          <KitFields :asked="asked" />
        </form>
        <div v-if="page.grounds.length === 0" class="empty">{{ words.nobodyTrainsHereYet }}</div>
        <div v-else role="region" :aria-label="words.whoComesOnWhichDay" tabindex="0" :style="{ overflowX: 'auto' }">
          <table>
            <thead>
              <tr>
                <th scope="col">{{ words.who }}</th>
                <th v-for="day in days" :key="day" scope="col">
                  {{ shortDay(day) }} <small v-if="closedOn(day)">{{ closedOn(day) }}</small>
                </th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="ground in page.grounds" :key="ground.trainee.id">
                <th scope="row">{{ ground.trainee.name }}</th>
                <td v-for="day in days" :key="day">
                  <button
                    v-if="week.isFree(ground, day)"
                    type="button"
                    :aria-pressed="comes[ground.trainee.id]?.includes(day) ?? false"
                    :aria-label="`${ground.trainee.name}, ${shortDay(day)}`"
                    @click="week.toggle(ground.trainee.id, day)"
                  >
                    <template v-if="madeFor(ground.trainee.id, day)">
                      <span v-if="madeFor(ground.trainee.id, day)!.parts.length === 0">{{ words.noTime }}</span>
                      <template v-else>
                        <span class="number"
                          ><VIcon :icon="mdiWeightLifter" size="16" :aria-label="words.hardRounds" />
                          {{ impactRounds(madeFor(ground.trainee.id, day)!.parts) }}</span
                        >
                        <small
                          v-for="one in madeFor(ground.trainee.id, day)!.parts.filter(({ kind }) => kind === 're-check')"
                          :key="one.id"
                          >{{ words.reCheck }}</small
                        >
                      </template>
                    </template>
                    <VIcon v-else-if="comes[ground.trainee.id]?.includes(day)" :icon="mdiCheck" size="20" />
                    <span v-else class="off">{{ weekday(day) }}</span>
                  </button>
                  <small v-else-if="day >= week.today" class="quiet">{{ words.planned }}</small>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="acts">
          <VBtn
            :color="planned ? undefined : 'primary'"
            :variant="planned ? 'outlined' : 'flat'"
            :loading="busy && !planned"
            :disabled="sessions === 0"
            @click="week.plan"
            >{{ words.planSession(sessions) }}</VBtn
          >
          <VBtn v-if="planned" color="primary" :prepend-icon="mdiContentSave" :loading="busy" @click="keep">{{
            words.keepThem
          }}</VBtn>
          <span v-if="planned && busy" role="status">{{ words.ofKept(kept, planned.plans.length) }}</span>
          <span v-if="sessions === 0" class="quiet">{{ words.touchTheDaysOnWhich }}</span>
        </p>
        <p v-if="trouble" class="text-error" role="alert">{{ trouble }}</p>
        <template v-if="planned && planned.leftOut.length > 0">
          <h2>{{ words.whatIsNotInIt }}</h2>
          <ul>
            <li v-for="(one, place) in planned.leftOut" :key="place">
              <b>{{ nameOf(one.traineeId) }}</b> {{ one.what }}: {{ one.why }}
            </li>
          </ul>
        </template>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-4);
  margin-bottom: var(--space-3);
}
.asked > * {
  flex: 0 1 150px;
}
table {
  width: 100%;
  border-collapse: collapse;
  background: rgb(var(--v-theme-surface));
}
th,
td {
  padding: var(--space-1) var(--space-1-5);
  text-align: left;
  border-bottom: 1px solid var(--line);
}
tbody th {
  padding-left: var(--space-3);
}
td button {
  display: grid;
  place-items: center;
  width: 100%;
  min-width: 52px;
  min-height: 44px;
}
td button[aria-pressed='true'] {
  background: var(--clean-ground);
}
.off {
  color: var(--quiet);
}
small {
  display: block;
  font-size: var(--type-note);
  font-weight: 400;
}
.acts {
  margin-top: var(--space-3);
}
</style>
