<script setup lang="ts">
import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionTally } from '@wax-fist/contract/review';
import { checkpointName, techniqueName, type TechniqueId } from '@wax-fist/core/technique';
import { seen } from '@wax-fist/core/review';
import { computed, defineAsyncComponent, ref } from 'vue';
import { ratesOverSessions } from './rates-over-sessions.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';

const catalogue = useCatalogue();
const { tallies, corrections } = defineProps<{ tallies: SessionTally[]; corrections: Correction[] }>();
const emit = defineEmits<{ pick: [sessionId: string] }>();
const RateChart = defineAsyncComponent(() => import('./RateChart.vue'));

interface Question {
  value: string;
  title: string;
  technique: TechniqueId;
  checkpointId: string;
}
const questions = computed(() => {
  const found = new Map<string, Question & { weight: number }>();
  for (const { technique, checkpointId, tally } of tallies) {
    const value = `${technique} ${checkpointId}`;
    const open = corrections.some((one) => one.technique === technique && one.checkpointId === checkpointId);
    const weight = (open ? 1e6 : 0) + tally.fault + (found.get(value)?.weight ?? 0) + (seen(tally) > 0 ? 0.1 : 0);
    found.set(value, {
      value,
      title: `${techniqueName(catalogue.newest, technique)}: ${checkpointName(catalogue.newest, checkpointId).toLowerCase()}`,
      technique,
      checkpointId,
      weight,
    });
  }
  return [...found.values()].sort((a, b) => b.weight - a.weight);
});
const chosen = ref<string>();
const question = computed(() => questions.value.find(({ value }) => value === chosen.value) ?? questions.value[0]);
const points = computed(() =>
  question.value ? ratesOverSessions(tallies, question.value.technique, question.value.checkpointId) : [],
);
const target = computed(
  () =>
    corrections.find((one) => one.technique === question.value?.technique && one.checkpointId === question.value.checkpointId)
      ?.target,
);
</script>

<template>
  <div class="rates">
    <VSelect
      :model-value="question?.value"
      :items="questions"
      label="Checkpoint"
      density="compact"
      hide-details
      class="choose"
      @update:model-value="chosen = $event"
    />
    <RateChart
      v-if="question"
      :points="points"
      :target="target"
      :family="catalogue.newest.checkpoints.get(question.checkpointId)?.family"
      :name="question.title"
      @pick="emit('pick', $event)"
    />
  </div>
</template>

<style scoped>
.rates {
  background: rgb(var(--v-theme-surface));
  padding: 14px 16px 4px;
  border-top: 2px solid rgb(var(--v-theme-primary));
}
.choose {
  max-width: 380px;
}
</style>
