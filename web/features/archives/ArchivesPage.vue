<script setup lang="ts">
import { mdiArchiveArrowDownOutline } from '@mdi/js';
import { everyRow } from '@wax-fist/contract/page';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { ref } from 'vue';
import { useRoute } from 'vue-router';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import BackupState from '../backups/BackupState.vue';
import ArchiveRow from './ArchiveRow.vue';
import ReadArchive from './ReadArchive.vue';
import { useArchives } from './use-archives.ts';
import { archivesWords as words } from './words.ts';

/** Everything of a trainee, or of the whole club, as one file: made, taken along, and read in again, here or in another club. */
const route = useRoute();
const archives = useArchives();
const { archives: made, failure, trouble, again } = archives;
const traineeId = ref<string | null>(typeof route.query.trainee === 'string' ? route.query.trainee : null);
const { value: trainees } = useAnswer(() => everyRow((query) => request(traineeEndpoints.listTrainees, { query })));
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ words.archivesAndBackups }}</h1>
    </div>
    <PageState :failure="failure" :ready="made !== undefined" @again="again">
      <p v-if="trouble" class="text-error" role="alert">{{ trouble }}</p>
      <section>
        <h2>{{ words.makeOne }}</h2>
        <p class="quiet">
          {{ words.oneZipWithFilmsMarks }}
        </p>
        <form class="make" @submit.prevent="archives.make(traineeId)">
          <VAutocomplete
            v-model="traineeId"
            :items="[{ id: null, name: words.theWholeClub }, ...(trainees ?? [])]"
            item-value="id"
            item-title="name"
            :label="words.ofWhom"
            density="comfortable"
            hide-details
          />
          <VBtn type="submit" color="primary" :prepend-icon="mdiArchiveArrowDownOutline">{{ words.makeIt }}</VBtn>
        </form>
        <ul v-if="made!.length > 0" class="list">
          <ArchiveRow v-for="one in made" :key="one.id" :archive="one" @remove="archives.remove(one.id)" />
        </ul>
      </section>
      <ReadArchive :archives="archives" />
      <BackupState />
    </PageState>
  </div>
</template>

<style scoped>
.make {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
  margin-bottom: var(--space-3);
}
.make .v-input {
  flex: 0 1 360px;
}
</style>
