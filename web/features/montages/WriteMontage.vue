<script setup lang="ts">
import { mdiDownload, mdiMovieOpenOutline } from '@mdi/js';
import { filledPath } from '@wax-fist/contract/endpoint';
import { montageEndpoints, type MontageFilm, type MontageKind } from '@wax-fist/contract/montages';
import { messageOf } from '@wax-fist/core/message-of';
import { percent } from '@wax-fist/core/words';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { request } from '../../app/request.ts';
import { whileTrue } from '../../app/while-true.ts';
import { montagesWords as words } from './words.ts';

/** Has a montage written as a film, to be taken along. */
const about = defineProps<{ sessionId: string; technique: string; checkpointId: string; which: MontageKind }>();
const film = shallowRef<MontageFilm>();
const failure = ref<string>();
const url = computed(() => film.value && filledPath(montageEndpoints.montageBytes.path, { montageId: film.value.id }));
const tried = (asking: Promise<MontageFilm>): Promise<void> =>
  asking.then(
    (now) => {
      film.value = now;
      failure.value = now.reason ?? undefined;
    },
    (error: unknown) => (failure.value = messageOf(error)),
  ) as Promise<void>;
const write = (): Promise<void> => tried(request(montageEndpoints.writeMontage, { body: { id: uuid(), ...about } }));
whileTrue(
  computed(() => film.value?.state === 'working'),
  () => tried(request(montageEndpoints.montageFilm, { params: { montageId: film.value!.id } })),
  500,
);
</script>

<template>
  <span class="write">
    <VBtn v-if="film?.state === 'ready'" color="primary" :prepend-icon="mdiDownload" :href="url" download>{{
      words.downloadTheFilm
    }}</VBtn>
    <template v-else-if="film?.state === 'working'">
      <VProgressLinear :model-value="100 * film.progress" color="primary" height="8" :aria-label="words.theFilmIsBeingWritten" />
      <span class="number" role="status">{{ percent(film.progress) }}</span>
    </template>
    <VBtn v-else variant="outlined" :prepend-icon="mdiMovieOpenOutline" @click="write">{{ words.asAFilm }}</VBtn>
    <span v-if="failure" class="text-error" role="alert">{{ failure }}</span>
  </span>
</template>

<style scoped>
.write {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  justify-content: flex-end;
  min-width: 180px;
}
</style>
