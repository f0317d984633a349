<script setup lang="ts">
import { answerEndpoints, type LevelAnswer } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import type { JudgedThing } from '@wax-fist/contract/review';
import type { Session } from '@wax-fist/contract/sessions';
import { isAbout } from '@wax-fist/core/correction';
import { messageOf } from '@wax-fist/core/message-of';
import { seen } from '@wax-fist/core/review';
import { checkpointName, techniqueName } from '@wax-fist/core/technique';
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue';
import { request } from '../../app/request.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { levelPanels, schoolChanges } from './level-panels.ts';

/** What has become of one thing over all sessions: its level at each rung, with what was counted. */
const catalogue = useCatalogue();
const { traineeId, judged, corrections, sessions } = defineProps<{
  traineeId: string;
  /** Everything that was ever looked at. */
  judged: JudgedThing[];
  corrections: Correction[];
  sessions: readonly Session[];
}>();
const emit = defineEmits<{ pick: [sessionId: string] }>();
const LevelChart = defineAsyncComponent(() => import('./LevelChart.vue'));

/** What is worked on first, then what is faulty most often. */
const questions = computed(() =>
  judged
    .map(({ technique, checkpointId, tally }) => ({
      value: `${technique} ${checkpointId}`,
      title: `${techniqueName(catalogue.newest, technique)}: ${checkpointName(catalogue.newest, checkpointId).toLowerCase()}`,
      ...{ technique, checkpointId },
      weight: (corrections.some(isAbout({ technique, checkpointId })) ? 1e6 : 0) + tally.fault + Math.min(1, seen(tally)) / 10,
    }))
    .sort((a, b) => b.weight - a.weight),
);
const chosen = ref<string>();
const question = computed(() => questions.value.find(({ value }) => value === chosen.value) ?? questions.value[0]);
const correction = computed(() => question.value && corrections.find(isAbout(question.value)));

const answers = shallowRef<LevelAnswer[]>();
const failure = ref<string>();
watch(
  [question, () => judged],
  async ([asked]) => {
    if (!asked) return;
    const { technique, checkpointId } = asked;
    failure.value = undefined;
    try {
      const said = await request(answerEndpoints.traineeAnswers, { params: { traineeId }, query: { technique, checkpointId } });
      if (question.value === asked) answers.value = said;
    } catch (error) {
      failure.value = messageOf(error);
    }
  },
  { immediate: true },
);
const panels = computed(() => levelPanels(answers.value ?? []));
const days = computed(() => [
  ...(correction.value ? [{ day: correction.value.openedOn, says: 'opened' }] : []),
  ...schoolChanges(sessions),
]);
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
    <p class="quiet">
      The line is the level that all sessions together tell, the band its doubt; signs are what was counted that day.
    </p>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <LevelChart
      v-if="question && panels.length > 0"
      :panels="panels"
      :days="days"
      :target="correction?.target"
      :family="catalogue.newest.checkpoints.get(question.checkpointId)?.family"
      :name="question.title"
      @pick="emit('pick', $event)"
    />
  </div>
</template>

<style scoped>
.rates {
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
  padding: 14px;
}
.choose {
  max-width: 420px;
  margin-bottom: 8px;
}
p {
  margin: 0;
}
</style>
