<script setup lang="ts">
import { mdiDatabaseImportOutline } from '@mdi/js';
import { percent } from '@wax-fist/core/words';
import { computed, ref, watch } from 'vue';
import OneFile from '../../app/OneFile.vue';
import ReadingTable from './ReadingTable.vue';
import type { useArchives } from './use-archives.ts';
import { archivesWords as words } from './words.ts';

/** An archive is sent, looked through, and then read in: nothing is written before somebody has seen what that comes to. */
const { archives } = defineProps<{ archives: ReturnType<typeof useArchives> }>();
const archiveWins = ref(false);
const { sent, inHand, look, reading } = archives;
const working = computed(() => [look.value, reading.value].some((one) => one?.state === 'working'));
const shown = computed(() => reading.value ?? look.value);
watch(archiveWins, (now) => void (inHand.value && !reading.value && archives.lookAgain(now)));
</script>

<template>
  <section>
    <h2>{{ words.readOneIn }}</h2>
    <p class="quiet">{{ words.itIsLookedThroughFirst }}</p>
    <OneFile
      :label="words.archiveZip"
      accept=".zip,application/zip"
      :disabled="sent !== undefined || working"
      @choose="archives.lookThrough($event, archiveWins)"
    />
    <VProgressLinear v-if="sent !== undefined" :model-value="100 * sent" color="primary" height="8" class="my-2" />
    <p v-if="sent !== undefined">{{ words.sendingSent(percent(sent)) }}</p>
    <template v-if="inHand && shown">
      <h3>{{ inHand.fileName }}</h3>
      <template v-if="shown.state === 'working'">
        <VProgressLinear :model-value="100 * shown.progress" color="primary" height="8" />
        <p>{{ reading ? words.readingItIn : words.lookingThroughIt }}: {{ percent(shown.progress) }}</p>
      </template>
      <p v-else-if="shown.state === 'failed'" class="text-error" role="alert">{{ shown.reason }}</p>
      <template v-else-if="shown.reading">
        <ReadingTable :reading="shown.reading" :looked="!reading" />
        <template v-if="!reading">
          <VCheckbox v-model="archiveWins" density="compact" hide-details :label="words.whereSomethingIsHereAlready" />
          <VBtn color="primary" :prepend-icon="mdiDatabaseImportOutline" @click="archives.readIn(archiveWins)">{{
            words.readItIn
          }}</VBtn>
        </template>
        <p v-else role="status">
          <b>{{ words.itIsReadIn }}</b>
        </p>
      </template>
    </template>
  </section>
</template>

<style scoped>
h3 {
  font-size: var(--type-body);
  margin: var(--space-3) 0 var(--space-1-5);
}
</style>
