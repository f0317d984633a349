<script setup lang="ts">
import type { GradeTest } from '@wax-fist/contract/syllabus';
import { shortDay } from '@wax-fist/core/words';
import { outcomeNames } from './outcome-names.ts';
import { syllabusWords as words } from './words.ts';

/** Tests that somebody has done, the newest first. */
defineProps<{ tests: readonly GradeTest[] }>();
</script>

<template>
  <h2>{{ words.tests }}</h2>
  <ul class="list">
    <li v-for="one in tests" :key="one.id">
      <RouterLink :to="{ name: 'test-sheet', params: { testId: one.id } }">
        <b>{{ shortDay(one.heldOn) }}</b> <span>{{ one.course.name }}</span> <span>{{ outcomeNames[one.outcome] }}</span>
        <span class="quiet">{{ one.note }}</span>
      </RouterLink>
    </li>
  </ul>
</template>

<style scoped>
a {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-0-5) var(--space-4);
  padding: var(--space-3);
  color: inherit;
  text-decoration: none;
}
b {
  color: rgb(var(--v-theme-primary));
}
</style>
