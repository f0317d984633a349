<script setup lang="ts">
import { mdiClose, mdiPause, mdiPlay, mdiRefresh } from '@mdi/js';
import { viewNames } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { shortDay } from '@wax-fist/core/words';
import { fileSize, timeLeft } from '../../app/format.ts';
import { useUploads, type Sending } from './uploads-store.ts';
import { footageWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

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
    <span v-else-if="sending.state === 'known' && sending.twin" class="grow" role="status">{{
      words.theSameFilmAsWhich(sending.twin)
    }}</span>
    <span v-else-if="sending.state === 'known'" class="grow" role="status">
      <TextWith :text="words.thisFilmIsHereAlready">
        <template #link>
          <RouterLink :to="{ name: 'session', params: { sessionId: sending.known[0]!.sessionId } }"
            >{{ sending.known[0]!.traineeName }}, {{ shortDay(sending.known[0]!.heldOn) }},
            {{ viewNames[sending.known[0]!.view].toLowerCase() }}</RouterLink
          >
        </template>
      </TextWith>
    </span>
    <span v-else class="grow">
      <VProgressLinear
        :model-value="(100 * sending.sent) / sending.bytes"
        :indeterminate="sending.state === 'looking'"
        color="secondary"
        height="8"
        :aria-label="words.uploadOf(sending.fileName)"
      />
      <span class="quiet">
        <template v-if="sending.state === 'looking'">{{ words.isComparedWithTheFilms }}</template>
        <template v-else>
          <TextWith :text="words.ofSent(fileSize(sending.sent), fileSize(sending.bytes))">
            <template #part>
              <template v-if="sending.state === 'paused'">{{ words.paused }}</template
              ><template v-else-if="left">, {{ left }}</template>
            </template>
          </TextWith>
        </template>
      </span>
    </span>
    <VBtn v-if="sending.state === 'known'" size="small" variant="outlined" @click="uploads.start(sending)">{{
      words.sendAllTheSame
    }}</VBtn>
    <VBtn
      v-if="sending.state === 'failed' && sending.again"
      :prepend-icon="mdiRefresh"
      size="small"
      variant="outlined"
      @click="uploads.start(sending)"
      >{{ words.tryAgain }}</VBtn
    >
    <VBtn
      v-if="sending.state === 'sending'"
      :icon="mdiPause"
      size="small"
      variant="text"
      :aria-label="words.pauseFileName(sending.fileName)"
      :title="words.pause"
      @click="uploads.pause(sending)"
    />
    <VBtn
      v-if="sending.state === 'paused'"
      :icon="mdiPlay"
      size="small"
      variant="text"
      :aria-label="words.goOnWith(sending.fileName)"
      :title="words.goOn"
      @click="uploads.start(sending)"
    />
    <VBtn
      :icon="mdiClose"
      size="small"
      variant="text"
      :aria-label="words.dropFileName(sending.fileName)"
      :title="words.doNotSendThisFilm"
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
