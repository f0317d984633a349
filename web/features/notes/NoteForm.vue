<script setup lang="ts">
import { minutes } from '@wax-fist/core/words';
import { mdiClose, mdiMicrophone, mdiStop } from '@mdi/js';
import { noteEndpoints } from '@wax-fist/contract/notes';
import { messageOf } from '@wax-fist/core/message-of';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import { request } from '../../app/request.ts';
import { useVoice } from './use-voice.ts';
import { notesWords as words } from './words.ts';

/** A new note: typed, spoken, or both. */
const { sessionId, strikeId = null } = defineProps<{ sessionId: string; strikeId?: string | null }>();
const emit = defineEmits<{ saved: [] }>();
const text = ref('');
const { speaking, lasts, voice, failure: noVoice, start, stop, forget } = useVoice();
const failure = ref<string>();
const busy = ref(false);
const empty = computed(() => text.value.trim() === '' && !voice.value);

async function save(): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  const id = uuid();
  const body = { id, sessionId, strikeId, text: text.value, voice: voice.value ?? null };
  await request(noteEndpoints.saveNote, { params: { noteId: id }, body })
    .then(() => {
      text.value = '';
      forget();
      emit('saved');
    })
    .catch((error: unknown) => (failure.value = messageOf(error)))
    .finally(() => (busy.value = false));
}
</script>

<template>
  <form class="note" @submit.prevent="save">
    <VTextarea
      v-model="text"
      :label="words.note"
      rows="1"
      auto-grow
      density="compact"
      hide-details
      maxlength="2000"
      class="text"
    />
    <span v-if="speaking || voice" class="number" role="status">{{ minutes(lasts) }}</span>
    <VBtn v-if="speaking" variant="outlined" :prepend-icon="mdiStop" @click="stop">{{ words.stop }}</VBtn>
    <VBtn
      v-else-if="voice"
      :icon="mdiClose"
      variant="text"
      size="small"
      :aria-label="words.forgetWhatWasSpoken"
      @click="forget"
    />
    <VBtn v-else variant="outlined" :prepend-icon="mdiMicrophone" @click="start">{{ words.speak }}</VBtn>
    <VBtn type="submit" color="primary" :disabled="empty || speaking" :loading="busy">{{ words.keep }}</VBtn>
    <p v-if="failure ?? noVoice" class="failure" role="alert">{{ failure ?? noVoice }}</p>
  </form>
</template>

<style scoped>
.note {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
.text {
  flex: 1 1 260px;
}
.failure {
  flex-basis: 100%;
  margin: 0;
  color: rgb(var(--v-theme-error));
}
</style>
