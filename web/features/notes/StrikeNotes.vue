<script setup lang="ts">
import { noteEndpoints, type Note } from '@wax-fist/contract/notes';
import type { Catalogue } from '@wax-fist/core/technique';
import { shallowRef, watch } from 'vue';
import { request } from '../../app/request.ts';
import { vTakeFocus } from '../../app/take-focus.ts';
import NoteForm from './NoteForm.vue';
import NoteList from './NoteList.vue';
import { notesWords as words } from './words.ts';

/** Notes on the strike in hand. */
const open = defineModel<boolean>({ required: true });
const { sessionId, strikeId } = defineProps<{ sessionId: string; strikeId: string; catalogue: Catalogue }>();
const notes = shallowRef<readonly Note[]>([]);
async function look(): Promise<void> {
  const all = await request(noteEndpoints.sessionNotes, { params: { sessionId } }).catch(() => []);
  notes.value = all.filter((one) => one.strikeId === strikeId);
}
watch([open, () => strikeId], () => void (open.value && look()), { immediate: true });
</script>

<template>
  <VDialog v-model="open" max-width="640" :aria-label="words.notesOnThisStrike">
    <VCard class="pa-6">
      <h2>{{ words.notesOnThisStrike }}</h2>
      <NoteList v-if="notes.length > 0" :notes="notes" :catalogue="catalogue" here @changed="look" />
      <NoteForm v-take-focus :session-id="sessionId" :strike-id="strikeId" class="form" @saved="look" />
      <div class="ends">
        <VBtn variant="text" @click="open = false">{{ words.backToTheBench }}</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
h2 {
  font-size: var(--type-title);
  margin-bottom: var(--space-3);
}
.form {
  margin-top: var(--space-3);
}
.ends {
  display: flex;
  justify-content: flex-end;
  margin-top: var(--space-3);
}
</style>
