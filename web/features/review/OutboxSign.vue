<script setup lang="ts">
import { mdiAlert, mdiCheck, mdiCloudOffOutline, mdiDotsHorizontal, mdiTrayArrowUp } from '@mdi/js';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useOutbox } from './outbox-store.ts';
import { reviewWords as words } from './words.ts';

// Names need the whole catalogue, which no first page should wait for.
const NotTakenList = defineAsyncComponent(() => import('./NotTakenList.vue'));

const outbox = useOutbox();
const looking = ref(false);
const signs = {
  looking: { icon: mdiDotsHorizontal, words: () => words.lookingForMarksNotSent },
  saved: { icon: mdiCheck, words: () => words.allMarksSaved },
  sending: { icon: mdiTrayArrowUp, words: () => words.savingWaiting(outbox.waiting) },
  away: {
    icon: mdiCloudOffOutline,
    words: () => words.marksWaitHereForThe(outbox.waiting),
  },
  refused: { icon: mdiAlert, words: () => words.markNotTaken(outbox.notTaken.length) },
};
const sign = computed(() => signs[outbox.state]);
</script>

<template>
  <span class="sign" role="status" :data-state="outbox.state" :class="outbox.state">
    <VIcon :icon="sign.icon" size="18" /> {{ sign.words() }}
    <VBtn v-if="outbox.notTaken.length > 0" size="x-small" variant="outlined" class="ml-2" @click="looking = true">{{
      words.seeWhy
    }}</VBtn>
    <NotTakenList v-if="looking" v-model="looking" />
  </span>
</template>

<style scoped>
.sign {
  display: inline-flex;
  align-items: center;
  gap: var(--space-1-5);
  font-size: var(--type-small);
  white-space: nowrap;
}
.away,
.refused {
  font-weight: 700;
  color: var(--pinned);
}
</style>
