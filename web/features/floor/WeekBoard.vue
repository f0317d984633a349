<script setup lang="ts">
import { mdiAlertOutline, mdiCheck, mdiClipboardCheckOutline, mdiDoorClosedLock, mdiTimerPlay } from '@mdi/js';
import type { PlanOfDay } from '@wax-fist/contract/plan-lists';
import { localDay, shortDay } from '@wax-fist/core/words';
import { dayAfter } from '@wax-fist/core/days';
import { nextTick } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import type { useWeek } from './use-week.ts';
import { useAccount } from '../accounts/account-store.ts';
import { floorWords as words } from './words.ts';

const account = useAccount();
/** A week with its sessions: dragged to another day, or taken there with the arrow keys. */
const { week } = defineProps<{ week: ReturnType<typeof useWeek> }>();
const today = localDay();
const dropped = (day: string, list: readonly PlanOfDay[]): void => {
  const come = list.find(({ plannedOn }) => plannedOn !== day);
  if (come) void week.move(come, day);
};
async function byKey(plan: PlanOfDay, days: 1 | -1): Promise<void> {
  const to = dayAfter(plan.plannedOn, days);
  if (!account.judges || !week.days.value.includes(to)) return;
  await week.move(plan, to);
  await nextTick();
  document.querySelector<HTMLElement>(`[data-plan="${plan.id}"]`)?.focus();
}
const isTroubled = ({ id }: PlanOfDay): boolean => week.problems.value.some(({ sessions }) => sessions.includes(id));
</script>

<template>
  <div class="week">
    <section
      v-for="day in week.days.value"
      :key="day"
      :class="{ today: day === today, closed: week.closedOn(day) }"
      :aria-label="shortDay(day)"
    >
      <h2>{{ shortDay(day) }}</h2>
      <p v-if="week.closedOn(day)" class="quiet"><VIcon :icon="mdiDoorClosedLock" size="18" /> {{ week.closedOn(day) }}</p>
      <RouterLink
        v-for="test in week.testsOn(day)"
        :key="test.traineeId"
        class="test"
        :to="{ name: 'trainee-test', params: { traineeId: test.traineeId } }"
        ><VIcon :icon="mdiClipboardCheckOutline" size="18" /> {{ words.testTraineeName(test.traineeName) }}</RouterLink
      >
      <VueDraggable
        :model-value="week.on(day)"
        tag="ul"
        group="week"
        filter=".done"
        :disabled="!account.judges"
        :animation="120"
        @update:model-value="(list: PlanOfDay[]) => dropped(day, list)"
      >
        <li
          v-for="plan in week.on(day)"
          :key="plan.id"
          :data-plan="plan.id"
          :class="{ done: plan.doneOn, troubled: isTroubled(plan) }"
          tabindex="0"
          :aria-label="words.arrowKeysTakeItTo(plan.traineeName, shortDay(day))"
          @keydown.left.prevent="byKey(plan, -1)"
          @keydown.right.prevent="byKey(plan, 1)"
        >
          <RouterLink :to="{ name: 'plan', params: { planId: plan.id } }">{{ plan.traineeName }}</RouterLink>
          <span class="quiet number">{{ words.minPlan(Math.round(plan.length / 60), plan.impact) }}</span>
          <span v-if="plan.doneOn" class="state"><VIcon :icon="mdiCheck" size="16" /> {{ words.doneInside }}</span>
          <span v-else-if="day < today" class="state">{{ words.notDone }}</span>
          <RouterLink v-else-if="day === today" class="go" :to="{ name: 'floor-timer', params: { planId: plan.id } }"
            ><VIcon :icon="mdiTimerPlay" size="18" /> {{ words.toTheFloor }}</RouterLink
          >
        </li>
      </VueDraggable>
    </section>
  </div>
  <ul v-if="week.problems.value.length > 0" class="problems" :aria-label="words.tooMuchThisWeek">
    <li v-for="{ says } in week.problems.value" :key="says"><VIcon :icon="mdiAlertOutline" size="18" /> {{ says }}</li>
  </ul>
</template>

<style scoped>
.week {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: var(--space-2);
  margin-top: var(--space-3);
}
section {
  display: flex;
  flex-direction: column;
  min-height: 240px;
  padding: var(--space-2);
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid var(--line);
}
.closed {
  background: none;
  border-top-style: dashed;
}
.test {
  display: block;
  margin-bottom: var(--space-1-5);
  padding: var(--space-1-5) var(--space-2);
  background: var(--watch-ground);
  font-size: var(--type-text);
}
.today {
  border-top-color: var(--focus);
}
h2 {
  margin: 0 0 var(--space-2);
  font-size: var(--type-text);
}
ul {
  flex: 1;
}
.week li {
  display: flex;
  flex-direction: column;
  padding: var(--space-2);
  margin-bottom: var(--space-1-5);
  background: var(--aside);
  border-left: 4px solid rgb(var(--v-theme-primary));
  font-size: var(--type-text);
  cursor: grab;
}
.week .done {
  cursor: default;
  background: none;
  border-left-color: var(--line);
}
.week .troubled {
  border-left-color: var(--fault);
}
.state {
  font-size: var(--type-small);
}
.go {
  margin-top: var(--space-1);
  font-weight: 700;
}
.problems {
  margin-top: var(--space-3);
  color: var(--fault);
}
@media screen and (max-width: 899px) {
  .week {
    grid-template-columns: minmax(0, 1fr);
  }
  section {
    min-height: 0;
  }
  .week a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
}
</style>
