<script setup lang="ts">
import { noteEndpoints } from '@wax-fist/contract/notes';
import type { Catalogue } from '@wax-fist/core/technique';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import NoteForm from './NoteForm.vue';
import NoteList from './NoteList.vue';
import { notesWords as words } from './words.ts';

/** What coaches have said about a session and its strikes, by voice or text. */
const { sessionId } = defineProps<{ sessionId: string; catalogue: Catalogue }>();
const { value: notes, again } = useAnswer(() => request(noteEndpoints.sessionNotes, { params: { sessionId } }));
</script>

<template>
  <section :aria-label="words.notes">
    <h2>{{ words.notes }}</h2>
    <NoteList v-if="notes && notes.length > 0" :notes="notes" :catalogue="catalogue" @changed="again" />
    <NoteForm :session-id="sessionId" class="no-print form" @saved="again" />
  </section>
</template>

<style scoped>
.form {
  margin-top: var(--space-2);
}
</style>
