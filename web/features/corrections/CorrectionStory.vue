<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { mdiHistory } from '@mdi/js';
import { correctionEndpoints, type Correction, type CorrectionEvent } from '@wax-fist/contract/corrections';
import { faultRate } from '@wax-fist/core/correction';
import { v7 as uuid } from 'uuid';
import { ref } from 'vue';
import { request } from '../../app/request.ts';
import { dayAndTime, faultsOfSeen } from '../../app/format.ts';
import CorrectionLine from './CorrectionLine.vue';

/** A correction with its history, which only grows, and what can be done next. */
const { correction } = defineProps<{ correction: Correction }>();
const emit = defineEmits<{ changed: [] }>();
const told = ref(true);
const failure = ref<string>();

const names: Record<CorrectionEvent['kind'], string> = {
  opened: 'Opened',
  'cue-given': 'Cue given',
  're-checked': 'Re-checked',
  closed: 'Closed',
  're-opened': 'Opened again',
};
async function add(kind: 'cue-given' | 'closed' | 're-opened'): Promise<void> {
  failure.value = undefined;
  await request(correctionEndpoints.addCorrectionEvent, {
    params: { correctionId: correction.id },
    body: { id: uuid(), kind, sessionId: null, note: '', recheckOn: undefined },
  })
    .then(() => emit('changed'))
    .catch((error: unknown) => (failure.value = messageOf(error)));
}
</script>

<template>
  <CorrectionLine :correction="correction">
    <VBtn
      :icon="mdiHistory"
      size="small"
      variant="text"
      :aria-expanded="told"
      aria-label="History"
      title="History"
      @click="told = !told"
    />
    <template v-if="correction.state === 'open'">
      <VBtn variant="outlined" @click="add('cue-given')">Cue given</VBtn>
      <VBtn variant="text" @click="add('closed')">Close</VBtn>
    </template>
    <VBtn v-else variant="outlined" @click="add('re-opened')">Open again</VBtn>
  </CorrectionLine>
  <li v-if="told" class="story">
    <ol aria-label="History">
      <li v-for="event in correction.history" :key="event.id">
        <span class="quiet number">{{ dayAndTime(event.at) }}</span>
        <b>{{ names[event.kind] }}</b>
        <span v-if="event.tally" class="number">{{ faultsOfSeen(faultRate(event.tally)) }}</span>
        <span>{{ event.note }}</span>
        <span class="quiet">{{ event.by }}</span>
      </li>
    </ol>
    <p v-if="failure" role="alert">{{ failure }}</p>
  </li>
</template>

<style scoped>
.story {
  padding: 0 14px 12px 54px;
  border-top: 0 !important;
}
ol {
  list-style: none;
  padding: 0;
  font-size: 15px;
}
ol li {
  display: flex;
  gap: 14px;
  padding: 2px 0;
}
ol li > :first-child {
  width: 110px;
}
@media screen and (max-width: 899px) {
  .story {
    padding-left: 14px;
  }
  ol li {
    flex-wrap: wrap;
    gap: 2px 14px;
  }
}
</style>
