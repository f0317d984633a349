<script setup lang="ts">
import { viewNames, views } from '@wax-fist/core/technique';
import type { FilmingPlan } from './filming-settings.ts';
import { filmingWords as words } from './words.ts';

/** What is set before the first bell. */
const plan = defineModel<FilmingPlan>({ required: true });
const { cameras, camera } = defineProps<{ cameras: readonly MediaDeviceInfo[]; camera: string }>();
defineEmits<{ camera: [deviceId: string] }>();

const numbers = [
  { field: 'rounds', label: words.rounds, suffix: '' },
  { field: 'work', label: words.work, suffix: 's' },
  { field: 'rest', label: words.rest, suffix: 's' },
  { field: 'ready', label: words.getReady, suffix: 's' },
] as const;
const viewItems = views.map((value) => ({ value, title: viewNames[value] }));
</script>

<template>
  <div class="fields">
    <div class="numbers">
      <VTextField
        v-for="{ field, label, suffix } in numbers"
        :key="field"
        :model-value="plan[field]"
        :label="label"
        :suffix="suffix"
        type="number"
        min="0"
        density="compact"
        hide-details
        @update:model-value="plan = { ...plan, [field]: $event === '' ? undefined : Number($event) }"
      />
    </div>
    <VSelect
      :model-value="plan.view"
      :items="viewItems"
      :label="words.filmedFrom"
      density="compact"
      hide-details
      @update:model-value="plan = { ...plan, view: $event }"
    />
    <VSelect
      v-if="cameras.length > 1"
      :model-value="camera || cameras[0]!.deviceId"
      :items="cameras.map(({ deviceId, label }) => ({ value: deviceId, title: label }))"
      :label="words.camera"
      density="compact"
      hide-details
      @update:model-value="$emit('camera', $event)"
    />
    <VCheckbox
      :model-value="plan.bell"
      :label="words.ringTheBellTheFilm"
      density="compact"
      hide-details
      @update:model-value="plan = { ...plan, bell: $event === true }"
    />
  </div>
</template>

<style scoped>
.fields {
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
}
.numbers {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-2);
}
</style>
