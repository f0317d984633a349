<script setup lang="ts">
import { mdiClose, mdiPlus, mdiPrinter } from '@mdi/js';
import { everyRow } from '@wax-fist/contract/page';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { lapsWithin, mostPeople, rotationLength, rotationOf, type Rotation } from '@wax-fist/core/plan';
import { clockTime } from '@wax-fist/core/words';
import { computed, reactive, ref } from 'vue';
import { messageOf } from '@wax-fist/core/message-of';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { floorWords as words } from './words.ts';

/** A group at stations: everybody as often at each of them as anybody else, turn by turn. */
const {
  value: trainees,
  failure,
  again,
} = useAnswer(() => everyRow((query) => request(traineeEndpoints.listTrainees, { query })));
const people = ref<string[]>([]);
const stations = reactive([
  { name: words.heavyBag, takes: 2 },
  { name: words.padsWithTheHolder, takes: 1 },
  { name: words.shadow, takes: 4 },
]);
const clock = reactive({ minutes: 30, work: 120, rest: 60 });

const made = computed<{ rotation: Rotation } | { says: string }>(() => {
  try {
    return { rotation: rotationOf(people.value, stations) };
  } catch (error) {
    return { says: people.value.length === 0 ? words.chooseWhoIsThere : messageOf(error) };
  }
});
const laps = computed(() =>
  'rotation' in made.value ? lapsWithin(made.value.rotation, clock.work, clock.rest, clock.minutes * 60) : 0,
);
const begins = (turn: number): string => clockTime(turn * (clock.work + clock.rest));
const print = (): void => window.print();
const fields = [
  { key: 'minutes', label: words.minutes, suffix: '', step: 5, min: 5, max: 240 },
  { key: 'work', label: words.work, suffix: 's', step: 10, min: 10, max: 600 },
  { key: 'rest', label: words.rest, suffix: 's', step: 10, min: 0, max: 300 },
] as const;
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ words.groupAtStations }}</h1>
      <span class="acts no-print"
        ><VBtn variant="outlined" :prepend-icon="mdiPrinter" @click="print">{{ words.print }}</VBtn></span
      >
    </div>
    <PageState :failure="failure" :ready="trainees !== undefined" @again="again">
      <form class="asked no-print" @submit.prevent>
        <VCombobox
          v-model="people"
          :items="trainees!.map(({ name }) => name)"
          :label="words.whoIsThereUpTo(mostPeople)"
          multiple
          chips
          closable-chips
          hide-details
        />
        <ul>
          <li v-for="(station, place) in stations" :key="place">
            <VTextField v-model="station.name" :label="words.station" density="compact" hide-details />
            <VNumberInput
              v-model="station.takes"
              :label="words.takes"
              :min="1"
              :max="mostPeople"
              control-variant="stacked"
              density="compact"
              hide-details
            />
            <VBtn
              :icon="mdiClose"
              variant="text"
              :aria-label="words.withoutName(station.name)"
              :disabled="stations.length === 1"
              @click="stations.splice(place, 1)"
            />
          </li>
          <li>
            <VBtn variant="text" :prepend-icon="mdiPlus" @click="stations.push({ name: words.rope, takes: 2 })">{{
              words.anotherStation
            }}</VBtn>
          </li>
        </ul>
        <div class="clock">
          <VNumberInput
            v-for="{ key, label, suffix, step, min, max } in fields"
            :key="key"
            v-model="clock[key]"
            :label="label"
            :suffix="suffix"
            :step="step"
            :min="min"
            :max="max"
            control-variant="stacked"
            density="compact"
            hide-details
          />
        </div>
      </form>
      <p v-if="'says' in made" class="empty">{{ made.says }}</p>
      <template v-else>
        <p class="sum">
          {{ words.turns(made.rotation.turns.length) }},
          <b class="number">{{ clockTime(rotationLength(made.rotation, clock.work, clock.rest, Math.max(1, laps))) }}</b>
          <template v-if="laps > 1">{{ words.forGoingRoundTimes(laps) }}</template>
          <template v-else-if="laps === 0">{{ words.longerThanThereIsShorten }}</template>
        </p>
        <div role="region" :aria-label="words.whoIsWhere" tabindex="0" :style="{ overflowX: 'auto' }">
          <table>
            <thead>
              <tr>
                <th>{{ words.turn }}</th>
                <th v-for="station in made.rotation.stations" :key="station.name">{{ station.name }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(turn, place) in made.rotation.turns" :key="place">
                <th class="number">{{ words.fromPlace(place + 1, begins(place)) }}</th>
                <td v-for="(there, at) in turn" :key="at">{{ there.join(', ') || '–' }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.asked {
  display: grid;
  gap: var(--space-3);
}
.asked ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(300px, 100%), 1fr));
  gap: var(--space-2) var(--space-4);
}
.asked li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 96px 44px;
  gap: var(--space-1-5);
  align-items: center;
}
.clock {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
}
.clock > * {
  flex: 0 1 150px;
}
.sum {
  font-size: var(--type-lead);
  margin: var(--space-4) 0 var(--space-2);
}
table {
  width: 100%;
  border-collapse: collapse;
  background: rgb(var(--v-theme-surface));
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: var(--space-2) var(--space-3);
  border-bottom: 1px solid var(--line);
}
.empty {
  margin-top: var(--space-4);
}
@media screen and (max-width: 399px) {
  .asked ul {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
