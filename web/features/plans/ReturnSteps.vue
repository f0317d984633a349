<script setup lang="ts">
import { mdiCheck, mdiCircleOutline, mdiStethoscope } from '@mdi/js';
import { daysBetween } from '@wax-fist/core/days';
import { daysAStep, returnSteps, type ReachedStep } from '@wax-fist/core/trainee';
import { localDay, shortDay } from '@wax-fist/core/words';
import { computed } from 'vue';
import { plansWords as words } from './words.ts';

/** The way back after a blow to the head: one step after another, a day each at the least, the last ones only when it is cleared. */
const steps = defineModel<ReachedStep[]>({ required: true });
const { cleared } = defineProps<{ cleared: boolean }>();
const today = localDay();
const next = computed(() => returnSteps[steps.value.length]);
const why = computed(() => {
  const last = steps.value.at(-1);
  if (!next.value) return '';
  if (last && daysBetween(last.on, today) < daysAStep) return words.notBeforeTomorrow;
  return next.value.cleared && !cleared ? words.onlyWhenADoctorHas : '';
});
const reach = (): void => void (steps.value = [...steps.value, { step: next.value!.step, on: today }]);
const reachedOn = (step: number): string | undefined => steps.value.find((one) => one.step === step)?.on;
</script>

<template>
  <fieldset>
    <legend>{{ words.theWayBackStepBy }}</legend>
    <ol>
      <li v-for="one in returnSteps" :key="one.step" :class="{ reached: reachedOn(one.step) }">
        <VIcon :icon="reachedOn(one.step) ? mdiCheck : one.cleared ? mdiStethoscope : mdiCircleOutline" size="20" />
        <span><b>{{ one.name }}</b> {{ one.says }}</span>
        <span class="number">{{ reachedOn(one.step) ? shortDay(reachedOn(one.step)!) : '' }}</span>
      </li>
    </ol>
    <p class="acts">
      <VBtn v-if="next" variant="outlined" :disabled="why !== ''" @click="reach">{{
        words.reachedToday(next.name.toLowerCase())
      }}</VBtn>
      <VBtn v-if="steps.length > 0" variant="text" @click="steps = steps.slice(0, -1)">{{ words.itCameBackAStep }}</VBtn>
    </p>
    <p v-if="why" class="quiet">{{ why }}</p>
    <p class="quiet">
      {{ words.afterTheConsensusOnConcussion }}
    </p>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin: var(--space-1) 0 var(--space-3);
  padding: var(--space-2) var(--space-3);
  border: 1px solid var(--line);
}
li {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) auto;
  gap: var(--space-2);
  padding: var(--space-1) 0;
  color: var(--quiet);
}
.reached {
  color: inherit;
}
.acts {
  margin: var(--space-1-5) 0;
}
</style>
