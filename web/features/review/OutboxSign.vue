<script setup lang="ts">
import { mdiAlert, mdiCheck, mdiCloudOffOutline, mdiTrayArrowUp } from '@mdi/js';
import { computed } from 'vue';
import { counted } from '../../app/format.ts';
import { useOutbox } from './outbox-store.ts';

const outbox = useOutbox();
const signs = {
  saved: { icon: mdiCheck, words: () => 'All marks saved' },
  sending: { icon: mdiTrayArrowUp, words: () => `Saving ${outbox.waiting}` },
  away: {
    icon: mdiCloudOffOutline,
    words: () => counted(outbox.waiting, 'mark waits here for the server', 'marks wait here for the server'),
  },
  refused: { icon: mdiAlert, words: () => `${counted(outbox.refused?.ids.length ?? 0, 'mark')} not taken` },
};
const sign = computed(() => signs[outbox.state]);
</script>

<template>
  <span class="sign" role="status" :data-state="outbox.state" :class="outbox.state">
    <VIcon :icon="sign.icon" size="18" /> {{ sign.words() }}
    <template v-if="outbox.refused">
      <span>: {{ outbox.refused.reason }}</span>
      <VBtn size="x-small" variant="outlined" class="ml-2" @click="outbox.dropRefused()">Let go of them</VBtn>
    </template>
  </span>
</template>

<style scoped>
.sign {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-size: 14px;
  white-space: nowrap;
}
.away,
.refused {
  font-weight: 700;
  color: #ffd27a;
}
</style>
