<script setup lang="ts">
import { roundSums } from '@wax-fist/core/setup';
import { clockTime } from '@wax-fist/core/words';
import { computed, reactive } from 'vue';
import { setupWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

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
  { key: 'rounds', label: words.rounds, suffix: '', step: 1, min: 1, max: 30 },
  { key: 'work', label: words.work, suffix: 's', step: 10, min: 5, max: 900 },
  { key: 'rest', label: words.rest, suffix: 's', step: 10, min: 0, max: 600 },
  { key: 'warmUp', label: words.warmUp, suffix: 's', step: 30, min: 0, max: 3600 },
  { key: 'pace', label: words.strikesAMinute, suffix: '', step: 5, min: 0, max: 300 },
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
    <VTextField v-model="asked.begins" :label="words.beginsAt" type="time" density="compact" hide-details />
  </div>
  <p class="sum">
    <TextWith :text="words.inAllOfWorkAbout">
      <template #total>
        <b class="number">{{ clockTime(sums.total) }}</b>
      </template>
      <template #worked>
        <b class="number">{{ clockTime(sums.worked) }}</b>
      </template>
      <template #hits>
        <b class="number">{{ sums.hits }}</b>
      </template>
      <template #total2>
        <b class="number">{{ onWall(sums.total) }}</b>
      </template>
    </TextWith>
  </p>
  <table class="told">
    <thead>
      <tr>
        <th>{{ words.round }}</th>
        <th>{{ words.begins }}</th>
        <th>{{ words.ends }}</th>
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
