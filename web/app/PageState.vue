<script setup lang="ts">
import { appWords as words } from './words.ts';
/** What a page shows until its answer is here, or when none comes. */
defineProps<{ failure: string | undefined; ready: boolean }>();
defineEmits<{ again: [] }>();
</script>

<template>
  <VAlert v-if="failure" type="warning" variant="tonal" class="my-4" role="alert">
    {{ failure }}
    <template #append><VBtn variant="outlined" size="small" @click="$emit('again')">{{ words.tryAgain }}</VBtn></template>
  </VAlert>
  <slot v-if="ready" />
  <VSkeletonLoader v-else-if="!failure" type="heading, table-heading, table-row-divider@4" color="transparent" />
</template>
