<script setup lang="ts">
import { footageEndpoints } from '@wax-fist/contract/footage';
import { computed, shallowRef, watch } from 'vue';
import { requestBytes } from '../../app/request.ts';

/** How loud the film was all along: what was hit against what only was there. */
const { filmId } = defineProps<{ filmId: string }>();
const loudness = shallowRef<Uint8Array>(new Uint8Array());
watch(
  () => filmId,
  // A film without sound, or one that was not listened to yet, has no shape.
  async () => (loudness.value = await requestBytes(footageEndpoints.filmLoudness, { filmId }).catch(() => new Uint8Array())),
  { immediate: true },
);

/** Columns that are told apart on a wide screen. */
const columns = 1200;
const path = computed(() => {
  const { length } = loudness.value;
  if (length === 0) return '';
  const count = Math.min(columns, length);
  const tops = Array.from({ length: count }, (_, column) => {
    const part = loudness.value.subarray((column * length) / count, Math.max(1, ((column + 1) * length) / count));
    return `L${((column / count) * 1000).toFixed(1)} ${255 - part.reduce((loudest, value) => Math.max(loudest, value), 0)}`;
  });
  return `M0 255 ${tops.join(' ')} L1000 255 Z`;
});
</script>

<template>
  <svg class="laid-over" viewBox="0 0 1000 255" preserveAspectRatio="none" aria-hidden="true"><path :d="path" /></svg>
</template>

<style scoped>
path {
  fill: var(--loudness);
  opacity: 0.6;
}
</style>
