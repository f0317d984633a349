<script setup lang="ts">
import { pointCheckEndpoints } from '@wax-fist/contract/point-checks';
import { ref } from 'vue';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import PointsAsked from './PointsAsked.vue';
import { pointChecksWords as words } from './words.ts';

/** Twenty points that were chosen at random, to be pointed out. */
const asked = ref<Awaited<ReturnType<typeof ask>>>();
const ask = () => request(pointCheckEndpoints.askedPoints);
// What was asked stays asked when the page comes back into view.
const { failure, again } = useAnswer(async () => (asked.value ??= await ask()));
async function more(): Promise<void> {
  asked.value = undefined;
  await again();
}
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="asked !== undefined" @again="again">
      <div v-if="asked && asked.length === 0" class="empty">
        {{ words.nobodyWasFollowedInA }}
      </div>
      <PointsAsked v-else-if="asked" :asked="asked" @more="more" />
    </PageState>
  </div>
</template>
