<script setup lang="ts">
import { appWords as words } from './words.ts';
/** Below a list of which only the beginning is here. */
defineProps<{ hasMore: boolean; loading: boolean; shown: number }>();
defineEmits<{ more: [] }>();
</script>

<template>
  <p v-if="hasMore" class="more">
    <span class="quiet number">{{ words.theFirstAreShown(shown) }}</span>
    <VBtn variant="outlined" :loading="loading" @click="$emit('more')">{{ words.showMore }}</VBtn>
  </p>
</template>

<style scoped>
.more {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-4);
  margin: var(--space-3) 0;
}
</style>
