<script setup lang="ts">
import { roundSums } from '@wax-fist/core/setup';
import { clockTime } from '@wax-fist/core/words';
import { computed, reactive } from 'vue';

/** Rounds, work, rest and pace, and what they come to. */
const asked = reactive({ rounds: 3, work: 120, rest: 60, warmUp: 360, pace: 40, begins: '18:00' });
const sums = computed(() => roundSums(asked));
/** On the clock on the wall. */
const onWall = (seconds: number): string => {
  const [hours = 0, minutes = 0] = asked.begins.split(':').map(Number);
  const at = hours * 60 + minutes + Math.floor(seconds / 60);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${two(Math.floor(at / 60) % 24)}:${two(at % 60)}:${two(seconds % 60)}`;
};
const fields = [
  { key: 'rounds', label: 'Rounds', suffix: '', step: 1, min: 1, max: 30 },
  { key: 'work', label: 'Work', suffix: 's', step: 10, min: 5, max: 900 },
  { key: 'rest', label: 'Rest', suffix: 's', step: 10, min: 0, max: 600 },
  { key: 'warmUp', label: 'Warm-up', suffix: 's', step: 30, min: 0, max: 3600 },
  { key: 'pace', label: 'Strikes a minute', suffix: '', step: 5, min: 0, max: 300 },
] as const;
</script>

<template>
  <div class="asked no-print">
    <VNumberInput
      v-for="{ key, label, suffix, step, min, max } in fields"
      :key="key"
      v-model="asked[key]"
      :label="label"
      :suffix="suffix"
      :step="step"
      :min="min"
      :max="max"
      control-variant="stacked"
      density="compact"
      hide-details
    />
    <VTextField v-model="asked.begins" label="Begins at" type="time" density="compact" hide-details />
  </div>
  <p class="sum">
    <b class="number">{{ clockTime(sums.total) }}</b> in all, <b class="number">{{ clockTime(sums.worked) }}</b> of work, about
    <b class="number">{{ sums.hits }}</b> strikes; over at <b class="number">{{ onWall(sums.total) }}</b>
  </p>
  <table class="told">
    <thead>
      <tr>
        <th>Round</th>
        <th>begins</th>
        <th>ends</th>
      </tr>
    </thead>
    <tbody class="number">
      <tr v-for="(begins, place) in sums.begins" :key="begins">
        <td>{{ place + 1 }}</td>
        <td>{{ onWall(begins) }}</td>
        <td>{{ onWall(begins + asked.work) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(150px, 100%), 1fr));
  gap: var(--space-2);
}
.sum {
  font-size: var(--type-title);
  margin: var(--space-4) 0;
}
</style>
