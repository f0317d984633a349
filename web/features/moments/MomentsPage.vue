<script setup lang="ts">
import { watch } from 'vue';
import PageState from '../../app/PageState.vue';
import { useAsked } from '../../app/use-asked.ts';
import MomentsDesk from './MomentsDesk.vue';
import { momentsData } from './use-moments-data.ts';

const { clipId } = defineProps<{ clipId: string }>();
const { value: data, failure, again } = useAsked(() => momentsData(clipId));
watch(() => clipId, again);
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="data !== undefined" @again="again">
      <MomentsDesk v-if="data" :key="data.clip.id" :data="data" />
    </PageState>
  </div>
</template>
