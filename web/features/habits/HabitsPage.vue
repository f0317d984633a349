<script setup lang="ts">
import { habitEndpoints, type HabitRow } from '@wax-fist/contract/habits';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { percent, shortDay } from '@wax-fist/core/words';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { habitChangeNames, habitInWords } from './habits-words.ts';
import { habitsWords as words } from './words.ts';

/** What a partner could read of a trainee, session by session, and whether that has changed. */
const { traineeId } = defineProps<{ traineeId: string }>();
const catalogue = useCatalogue();
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const params = { params: { traineeId } };
  const [trainee, habits] = await Promise.all([
    request(traineeEndpoints.showTrainee, params),
    request(habitEndpoints.traineeHabits, params),
  ]);
  return { trainee, ...habits };
});
const enough = computed(() => page.value?.sessions.filter(({ strikes }) => strikes >= page.value!.fewest) ?? []);
const called = computed(() => (page.value?.sessions ?? []).reduce((sum, session) => sum + session.called, 0));
const moved = ({ change }: HabitRow): boolean => change === 'better' || change === 'worse';
const rows = computed(() =>
  (page.value?.habits ?? []).map((row) => ({
    ...row,
    told: habitInWords(row, catalogue.newest),
    cells: enough.value.map(({ sessionId, heldOn }) => ({
      ...{ sessionId, heldOn },
      look: row.looks.find((look) => look.sessionId === sessionId),
    })),
  })),
);
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <div class="page-head">
          <div>
            <p class="quiet">
              <RouterLink :to="{ name: 'trainee', params: { traineeId } }">{{ page.trainee.name }}</RouterLink>
            </p>
            <h1>{{ words.habitsOverSessions }}</h1>
            <p class="quiet">
              {{ words.whatAPartnerCouldHave }}
            </p>
          </div>
        </div>
        <div v-if="enough.length === 0" class="empty">
          {{ words.habitsShowOnceStrikesOf(page.fewest, page.trainee.name) }}
        </div>
        <div v-else-if="page.habits.length === 0" class="empty">
          {{ words.inSessionThereWasNothing(enough.length) }}
        </div>
        <table v-else class="figures">
          <thead>
            <tr>
              <th scope="col">{{ words.habit }}</th>
              <th v-for="{ sessionId, heldOn, roundKind } in enough" :key="sessionId" scope="col" class="figure">
                <RouterLink :to="{ name: 'session', params: { sessionId } }">{{ shortDay(heldOn) }}</RouterLink>
                <small>{{ roundKind }}</small>
              </th>
              <th scope="col">{{ words.changed }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.told">
              <th scope="row">{{ row.told }}</th>
              <td v-for="{ sessionId, heldOn, look } in row.cells" :key="sessionId" class="figure" :data-day="shortDay(heldOn)">
                <component
                  :is="look.proof ? RouterLink : 'span'"
                  v-if="look"
                  :to="look.proof ? { name: 'bench', params: look.proof } : undefined"
                  class="look"
                >
                  <b class="number">{{ percent(look.times / look.of) }}</b>
                  <small class="number quiet">{{ words.ofTimes(look.times, look.of) }}</small>
                  <small class="number quiet">{{ percent(look.low) }}–{{ percent(look.high) }}</small>
                  <span class="scale" aria-hidden="true"
                    ><i :style="{ bottom: percent(look.low), top: percent(1 - look.high) }"
                  /></span>
                </component>
                <span v-else class="quiet" :aria-label="words.couldNotBeDone">–</span>
              </td>
              <td>
                <template v-if="row.change && row.since">
                  <b>{{ habitChangeNames[row.change] }}</b>
                  <small class="quiet">{{ moved(row) ? words.thanOn : words.since }} {{ shortDay(row.since) }}</small>
                </template>
                <span v-else class="quiet">{{ words.oneSession }}</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="called > 0" class="quiet foot">
          {{ words.whatIsChosenLeavesOut(called) }}
        </p>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
th[scope='row'] {
  font-size: var(--type-body);
  color: inherit;
  font-weight: 600;
  border-top: 1px solid var(--line);
  min-width: 220px;
}
th.figure {
  text-align: right;
}
small {
  display: block;
  font-size: var(--type-note);
}
.figure {
  white-space: nowrap;
}
.look {
  position: relative;
  display: inline-block;
  padding-right: var(--space-4);
  color: inherit;
  text-decoration: none;
}
.scale {
  position: absolute;
  right: 0;
  top: 3px;
  bottom: 3px;
  width: 8px;
  background: var(--line);
}
.scale i {
  position: absolute;
  left: 0;
  right: 0;
  min-height: 3px;
  background: rgb(var(--v-theme-primary));
}
.foot {
  margin-top: var(--space-3);
}
@media screen and (max-width: 899px) {
  /* Each figure says its day itself. */
  thead {
    display: none;
  }
  tbody,
  tr,
  th[scope='row'],
  td {
    display: block;
  }
  tr {
    padding: var(--space-2) var(--space-3);
    border-top: 1px solid var(--line);
  }
  td,
  th[scope='row'] {
    border: 0;
    padding: var(--space-0-5) 0;
    text-align: left;
  }
  td[data-day] {
    display: flex;
    justify-content: space-between;
    align-items: center;
    min-height: 44px;
  }
  td[data-day]::before {
    content: attr(data-day);
  }
}
</style>
