<script setup lang="ts">
import { mdiAlert, mdiCheck, mdiCloudOffOutline, mdiDotsHorizontal, mdiTrayArrowUp } from '@mdi/js';
import { computed, defineAsyncComponent, ref } from 'vue';
import { counted } from '@wax-fist/core/words';
import { useOutbox } from './outbox-store.ts';

// Names need the whole catalogue, which no first page should wait for.
const NotTakenList = defineAsyncComponent(() => import('./NotTakenList.vue'));

const outbox = useOutbox();
const looking = ref(false);
const signs = {
  looking: { icon: mdiDotsHorizontal, words: () => 'Looking for marks not sent yet' },
  saved: { icon: mdiCheck, words: () => 'All marks saved' },
  sending: { icon: mdiTrayArrowUp, words: () => `Saving ${outbox.waiting}` },
  away: {
    icon: mdiCloudOffOutline,
    words: () => counted(outbox.waiting, 'mark waits here for the server', 'marks wait here for the server'),
  },
  refused: { icon: mdiAlert, words: () => `${counted(outbox.notTaken.length, 'mark')} not taken` },
};
const sign = computed(() => signs[outbox.state]);
</script>

<template>
  <span class="sign" role="status" :data-state="outbox.state" :class="outbox.state">
    <VIcon :icon="sign.icon" size="18" /> {{ sign.words() }}
    <VBtn v-if="outbox.notTaken.length > 0" size="x-small" variant="outlined" class="ml-2" @click="looking = true">See why</VBtn>
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
