<script setup lang="ts">
import { mdiClose, mdiPause, mdiPlay, mdiRefresh } from '@mdi/js';
import { viewNames } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { shortDay } from '@wax-fist/core/words';
import { fileSize, timeLeft } from '../../app/format.ts';
import { useUploads, type Sending } from './uploads-store.ts';

/** One film on its way, with what can be done about it. */
const { sending } = defineProps<{ sending: Sending }>();
const uploads = useUploads();

const left = computed(() => {
  const { bytes, sent, pace } = sending;
  const moved = sent - pace.from;
  return moved > 0 ? timeLeft(((bytes - sent) / moved) * (Date.now() - pace.since)) : '';
});
</script>

<template>
  <li :data-state="sending.state">
    <b class="name">{{ sending.fileName }}</b>
    <span v-if="sending.state === 'failed'" class="grow text-error" role="alert">{{ sending.failure }}</span>
    <span v-else-if="sending.state === 'known' && sending.twin" class="grow" role="status"
      >The same film as {{ sending.twin }}, which is on its way already.</span
    >
    <span v-else-if="sending.state === 'known'" class="grow" role="status">
      This film is here already:
      <RouterLink :to="{ name: 'session', params: { sessionId: sending.known[0]!.sessionId } }"
        >{{ sending.known[0]!.traineeName }}, {{ shortDay(sending.known[0]!.heldOn) }},
        {{ viewNames[sending.known[0]!.view].toLowerCase() }}</RouterLink
      >.
    </span>
    <span v-else class="grow">
      <VProgressLinear
        :model-value="(100 * sending.sent) / sending.bytes"
        :indeterminate="sending.state === 'looking'"
        color="secondary"
        height="8"
        :aria-label="`Upload of ${sending.fileName}`"
      />
      <span class="quiet">
        <template v-if="sending.state === 'looking'">is compared with the films that are here</template>
        <template v-else>
          {{ fileSize(sending.sent) }} of {{ fileSize(sending.bytes)
          }}<template v-if="sending.state === 'paused'">, paused</template><template v-else-if="left">, {{ left }}</template>
        </template>
      </span>
    </span>
    <VBtn v-if="sending.state === 'known'" size="small" variant="outlined" @click="uploads.start(sending)"
      >Send all the same</VBtn
    >
    <VBtn
      v-if="sending.state === 'failed' && sending.again"
      :prepend-icon="mdiRefresh"
      size="small"
      variant="outlined"
      @click="uploads.start(sending)"
      >Try again</VBtn
    >
    <VBtn
      v-if="sending.state === 'sending'"
      :icon="mdiPause"
      size="small"
      variant="text"
      :aria-label="`Pause ${sending.fileName}`"
      title="Pause"
      @click="uploads.pause(sending)"
    />
    <VBtn
      v-if="sending.state === 'paused'"
      :icon="mdiPlay"
      size="small"
      variant="text"
      :aria-label="`Go on with ${sending.fileName}`"
      title="Go on"
      @click="uploads.start(sending)"
    />
    <VBtn
      :icon="mdiClose"
      size="small"
      variant="text"
      :aria-label="`Drop ${sending.fileName}`"
      title="Do not send this film"
      @click="uploads.stop(sending)"
    />
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  align-items: center;
  padding: var(--space-2) var(--space-3);
}
.name {
  max-width: 260px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.grow {
  flex: 1 1 200px;
}
</style>
