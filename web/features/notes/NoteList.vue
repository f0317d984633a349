<script setup lang="ts">
import { mdiDelete } from '@mdi/js';
import { filledPath } from '@wax-fist/contract/endpoint';
import { noteEndpoints, type Note } from '@wax-fist/contract/notes';
import { messageOf } from '@wax-fist/core/message-of';
import { techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { dayAndTime } from '../../app/format.ts';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { notesWords as words } from './words.ts';

/** Notes, each at its place: what was spoken is played here, and a strike is a step away. */
defineProps<{
  notes: readonly Note[];
  catalogue: Catalogue;
  /** Without the way to its strike, where one is there. */ here?: boolean;
}>();
const emit = defineEmits<{ changed: [] }>();
const notice = useNotice();
const voiceOf = (noteId: string): string => filledPath(noteEndpoints.noteVoice.path, { noteId });
const remove = (noteId: string): Promise<void> =>
  request(noteEndpoints.removeNote, { params: { noteId } }).then(
    () => emit('changed'),
    (error: unknown) => notice.say(messageOf(error)),
  );
</script>

<template>
  <ul class="list">
    <li v-for="one in notes" :key="one.id">
      <div class="said">
        <RouterLink
          v-if="one.strike && !here"
          :to="{ name: 'bench', params: { filmId: one.strike.filmId, strikeId: one.strikeId! } }"
          >{{ techniqueName(catalogue, one.strike.technique) }}</RouterLink
        >
        <p v-if="one.text">{{ one.text }}</p>
        <!-- Speech alone: what it says is typed where it has to be read. -->
        <audio v-if="one.voice" controls preload="none" :src="voiceOf(one.id)" :aria-label="words.spokenBy(one.saidBy)" />
        <span class="quiet">{{ one.saidBy }}, {{ dayAndTime(one.saidAt) }}</span>
      </div>
      <VBtn
        v-if="one.own"
        :icon="mdiDelete"
        variant="text"
        size="small"
        :aria-label="words.takeThisNoteAway"
        @click="remove(one.id)"
      />
    </li>
  </ul>
</template>

<style scoped>
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: var(--space-3);
  padding: var(--space-2) var(--space-3);
}
.said {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: center;
  min-width: 0;
}
p {
  overflow-wrap: anywhere;
}
audio {
  height: 36px;
  max-width: 100%;
}
</style>
