<script setup lang="ts">
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import { roundsWords as words } from './words.ts';

/** How many of the hits that were found are believed; everything follows while it is moved. */
const hitsAndRounds = useHitsAndRounds();
const value = (event: Event): number => Number((event.target as HTMLInputElement).value);
</script>

<template>
  <label class="slider">
    <span>{{ words.few }}</span>
    <input
      type="range"
      min="0"
      max="1"
      step="0.02"
      :value="hitsAndRounds.edits.sensitivity"
      :aria-label="words.sensitivityOfTheHitFinder"
      @input="hitsAndRounds.slideEdits({ sensitivity: value($event) })"
      @change="hitsAndRounds.slid()"
    />
    <span>{{ words.many }}</span>
  </label>
</template>

<style scoped>
.slider {
  display: flex;
  align-items: center;
  gap: var(--space-2);
}
input {
  flex: 1;
  min-width: 80px;
  accent-color: rgb(var(--v-theme-primary));
}
</style>
