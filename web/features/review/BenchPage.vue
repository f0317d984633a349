<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { ref, shallowRef, watch } from 'vue';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { benchData, type BenchData } from './use-bench-data.ts';
import ReviewBench from './ReviewBench.vue';
import { useReview } from './review-store.ts';
import { reviewWords as words } from './words.ts';

const { filmId, strikeId = '' } = defineProps<{ filmId: string; strikeId?: string }>();
const review = useReview();
const hitsAndRounds = useHitsAndRounds();
const data = shallowRef<BenchData>();
const failure = ref<string>();

async function load(): Promise<void> {
  data.value = undefined;
  failure.value = undefined;
  try {
    const loaded = await benchData(filmId);
    await Promise.all([review.open(loaded.film, loaded.session.checklistVersion), hitsAndRounds.open(loaded.film)]);
    data.value = loaded;
  } catch (error) {
    failure.value = messageOf(error);
  }
}
watch(() => filmId, load, { immediate: true });
</script>

<template>
  <ReviewBench v-if="data" :key="filmId" :data="data" :strike-id="strikeId" />
  <div v-else class="page">
    <VAlert v-if="failure" type="warning" variant="tonal" role="alert">
      {{ failure }}
      <template #append>
        <VBtn variant="outlined" size="small" class="mr-2" @click="load">{{ words.tryAgain }}</VBtn>
        <VBtn variant="outlined" size="small" to="/">{{ words.toToday }}</VBtn>
      </template>
    </VAlert>
    <div v-else role="status" :aria-label="words.theFilmIsBeingOpened">
      <VSkeletonLoader type="image, image, table-row" />
    </div>
  </div>
</template>
