<script setup lang="ts">
import { mdiDelete, mdiDownload } from '@mdi/js';
import { archiveEndpoints, type Archive } from '@wax-fist/contract/archives';
import { filledPath } from '@wax-fist/contract/endpoint';
import { percent } from '@wax-fist/core/words';
import { computed } from 'vue';
import { dayAndTime, fileSize } from '../../app/format.ts';
import { archivesWords as words } from './words.ts';

/** An archive that was made, or is being made. */
const { archive } = defineProps<{ archive: Archive }>();
defineEmits<{ remove: [] }>();
const url = computed(() => filledPath(archiveEndpoints.archiveFile.path, { archiveId: archive.id }));
</script>

<template>
  <li class="row">
    <b>{{ archive.name || words.theWholeClub }}</b>
    <span class="quiet">{{ dayAndTime(archive.askedAt) }}</span>
    <span v-if="archive.state === 'working'" class="grow">
      <VProgressLinear
        :model-value="100 * archive.progress"
        color="primary"
        height="8"
        :aria-label="words.madeProgress(percent(archive.progress))"
      />
    </span>
    <span v-else-if="archive.state === 'failed'" class="grow text-error">{{ archive.reason }}</span>
    <span v-else class="grow number">{{ fileSize(archive.bytes ?? 0) }}</span>
    <VBtn v-if="archive.state === 'ready'" variant="outlined" :prepend-icon="mdiDownload" :href="url" download>{{
      words.download
    }}</VBtn>
    <VBtn
      v-if="archive.state !== 'working'"
      :icon="mdiDelete"
      variant="text"
      size="small"
      :aria-label="words.removeTheArchiveOf(archive.name || words.wholeClubInASentence)"
      @click="$emit('remove')"
    />
  </li>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1-5) var(--space-4);
  align-items: center;
  padding: var(--space-2) var(--space-3);
}
.grow {
  flex: 1 1 160px;
}
</style>
