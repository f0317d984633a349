<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue';
import { useMoments } from '../moments/moments-store.ts';
import { benchData, type BenchData } from './use-bench-data.ts';
import ReviewBench from './ReviewBench.vue';
import { useReview } from './review-store.ts';

const { clipId, strikeId = '' } = defineProps<{ clipId: string; strikeId?: string }>();
const review = useReview();
const moments = useMoments();
const data = shallowRef<BenchData>();
const failure = ref<string>();

async function load(): Promise<void> {
  data.value = undefined;
  failure.value = undefined;
  try {
    const loaded = await benchData(clipId);
    await Promise.all([review.open(loaded.clip, loaded.session.checklistVersion), moments.open(loaded.clip)]);
    data.value = loaded;
  } catch (error) {
    failure.value = (error as Error).message;
  }
}
watch(() => clipId, load, { immediate: true });
</script>

<template>
  <ReviewBench v-if="data" :key="clipId" :data="data" :strike-id="strikeId" />
  <div v-else class="page">
    <VAlert v-if="failure" type="warning" variant="tonal" role="alert">
      {{ failure }}
      <template #append>
        <VBtn variant="outlined" size="small" class="mr-2" @click="load">Try again</VBtn>
        <VBtn variant="outlined" size="small" to="/">To Today</VBtn>
      </template>
    </VAlert>
    <div v-else role="status" aria-label="The film is being opened">
      <VSkeletonLoader type="image, image, table-row" />
    </div>
  </div>
</template>
