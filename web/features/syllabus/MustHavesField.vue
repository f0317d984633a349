<script setup lang="ts">
import { mdiClose, mdiPlus } from '@mdi/js';
import type { SavedCourse } from '@wax-fist/contract/syllabus';
import { rungs } from '@wax-fist/core/correction';
import { checklistFor, usualSchool } from '@wax-fist/core/technique';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { syllabusWords as words } from './words.ts';

/** Checkpoints that have to hold, each of a technique and at a rung. */
const list = defineModel<SavedCourse['mustHaves']>({ required: true });
const catalogue = useCatalogue();
const rungItems = rungs.map(({ rung, name }) => ({ value: rung, title: `${rung}. ${name}` }));
const rowsOf = (technique: string) =>
  catalogue.newest.techniques.has(technique)
    ? checklistFor(catalogue.newest, technique, { school: usualSchool, view: 'quarter' }).map(({ checkpoint }) => ({
        value: checkpoint.id,
        title: checkpoint.name,
      }))
    : [];
function retake(one: SavedCourse['mustHaves'][number]): void {
  if (!rowsOf(one.technique).some(({ value }) => value === one.checkpointId))
    one.checkpointId = rowsOf(one.technique)[0]?.value ?? '';
}
</script>

<template>
  <ul>
    <li v-for="(one, place) in list" :key="place">
      <VAutocomplete
        v-model="one.technique"
        :label="words.technique"
        :items="catalogue.techniqueItems"
        density="compact"
        hide-details
        @update:model-value="retake(one)"
      />
      <VAutocomplete
        v-model="one.checkpointId"
        :label="words.lookedAt"
        :items="rowsOf(one.technique)"
        density="compact"
        hide-details
      />
      <VSelect v-model="one.rung" :label="words.holdsAt" :items="rungItems" density="compact" hide-details />
      <VBtn :icon="mdiClose" variant="text" :aria-label="words.withoutMustHave(place + 1)" @click="list.splice(place, 1)" />
    </li>
  </ul>
  <VBtn
    variant="text"
    :prepend-icon="mdiPlus"
    @click="list.push({ technique: 'jab', checkpointId: 'gd.return-line', rung: 3 })"
    >{{ words.aMustHave }}</VBtn
  >
</template>

<style scoped>
ul {
  display: grid;
  gap: var(--space-2);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr) minmax(0, 1.2fr) 44px;
  gap: var(--space-2);
}
@media screen and (max-width: 599px) {
  li {
    grid-template-columns: minmax(0, 1fr) 44px;
  }
  li > :not(:last-child) {
    grid-column: 1;
  }
  li > :last-child {
    grid-area: 1 / 2;
  }
}
</style>
