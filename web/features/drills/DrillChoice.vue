<script setup lang="ts">
import { mdiDumbbell } from '@mdi/js';
import type { Correction } from '@wax-fist/contract/corrections';
import { doseInWords, drillsFor, isThrownIn, type Drill } from '@wax-fist/core/drills';
import { computed } from 'vue';
import { useDrills } from './drill-store.ts';
import { drillsWords as words } from './words.ts';

/** Drills for what a correction is about, nearest to its rung first. */
const { correction } = defineProps<{ correction: Correction }>();
const emit = defineEmits<{ chosen: [words: string] }>();
const drills = useDrills();
void drills.ready().catch(() => undefined);
const few = 6;
const its = computed(() => {
  const thrown = drills.drills.filter((drill) => isThrownIn(drill, correction.technique));
  return drillsFor(thrown, correction, correction.rung).slice(0, few);
});
const inWords = (drill: Drill): string => `${drill.name}: ${doseInWords(drill.dose)}`;
</script>

<template>
  <VMenu v-if="its.length > 0">
    <template #activator="{ props: opens }">
      <VBtn v-bind="opens" variant="outlined" :prepend-icon="mdiDumbbell">{{ words.drills }}</VBtn>
    </template>
    <VList density="compact">
      <VListItem
        v-for="drill in its"
        :key="drill.id"
        :title="drill.name"
        :subtitle="words.rungRung(drill.rung, doseInWords(drill.dose))"
        @click="emit('chosen', inWords(drill))"
      />
    </VList>
  </VMenu>
</template>
