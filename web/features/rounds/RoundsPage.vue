<script setup lang="ts">
import { watch } from 'vue';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import RoundsDesk from './RoundsDesk.vue';
import { hitsAndRoundsData } from './hits-and-rounds-data.ts';

const { filmId } = defineProps<{ filmId: string }>();
const { value: data, failure, again } = useAnswer(() => hitsAndRoundsData(filmId));
watch(() => filmId, again);
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="data !== undefined" @again="again">
      <RoundsDesk v-if="data" :key="data.film.id" :data="data" />
    </PageState>
  </div>
</template>
