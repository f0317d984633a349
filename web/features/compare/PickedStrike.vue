<script setup lang="ts">
import { drawnId } from './drawn-side.ts';
import { compareWords as words } from './words.ts';

/** A strike that was picked in a chart: to the bench, or held against another one. */
defineProps<{
  strikeId: string;
  filmId: string;
  /** What was picked, in words. */
  says: string;
  /** A strike that it may be held against rather than the likeliest one, and what that is. */
  against?: { strikeId: string; name: string } | undefined;
}>();
defineEmits<{ close: [] }>();
</script>

<template>
  <div class="acts picked no-print" role="status" :aria-label="words.picked">
    <b class="number">{{ says }}</b>
    <slot />
    <VBtn variant="outlined" :to="{ name: 'bench', params: { filmId, strikeId } }">{{ words.onTheBench }}</VBtn>
    <VBtn
      variant="outlined"
      :to="{ name: 'compare', params: { firstId: strikeId, ...(against && { secondId: against.strikeId }) } }"
      >{{ against ? words.compareWith(against.name) : words.compare }}</VBtn
    >
    <VBtn variant="text" :to="{ name: 'compare', params: { firstId: strikeId, secondId: drawnId } }">
      {{ words.withHowItShouldBe }}
    </VBtn>
    <VBtn variant="text" @click="$emit('close')">{{ words.letGo }}</VBtn>
  </div>
</template>

<style scoped>
.picked {
  padding: var(--space-2) var(--space-3);
  border-left: 4px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
</style>
