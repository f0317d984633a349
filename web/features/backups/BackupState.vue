<script setup lang="ts">
import { mdiShieldAlertOutline, mdiShieldCheckOutline } from '@mdi/js';
import { backupEndpoints } from '@wax-fist/contract/backups';
import { counted } from '@wax-fist/core/words';
import { computed } from 'vue';
import { dayAndTime, fileSize } from '../../app/format.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';

/** When the club was backed up last, and whether that was read back. */
const day = 24 * 3_600_000;
/** What is lost at worst is what was said since the last one. */
const tooOld = 8 * day;
const { value: backups, failure, again } = useAnswer(() => request(backupEndpoints.listBackups));
const newest = computed(() => backups.value?.[0]);
const late = computed(() => !newest.value || Date.now() - new Date(newest.value.madeAt).getTime() > tooOld);
</script>

<template>
  <section aria-labelledby="backups">
    <h2 id="backups">Backups</h2>
    <PageState :failure="failure" :ready="backups !== undefined" @again="again">
      <p class="state" :class="{ late }" role="status">
        <VIcon :icon="late ? mdiShieldAlertOutline : mdiShieldCheckOutline" size="24" />
        <span v-if="newest">
          The last one was made on <b class="number">{{ dayAndTime(newest.madeAt) }}</b> and read back on
          <b class="number">{{ dayAndTime(newest.verifiedAt) }}</b>: the database and {{ counted(newest.films, 'film') }},
          {{ fileSize(newest.bytes) }}, of which {{ fileSize(newest.added) }} were new.
          <b v-if="late">That is more than a week ago.</b>
        </span>
        <b v-else>No backup was ever made: what this machine loses is lost.</b>
      </p>
      <p class="quiet">
        Made on the machine, sealed by a passphrase, with <code>bin/backup FOLDER</code>; put back on an empty one with
        <code>bin/restore FOLDER</code>. A folder on another disk, every night, is what a club needs.
      </p>
    </PageState>
  </section>
</template>

<style scoped>
.state {
  display: flex;
  gap: var(--space-3);
  padding: var(--space-2) var(--space-3);
  margin-bottom: var(--space-2);
  background: var(--clean-ground);
}
.state.late {
  background: var(--watch-ground);
}
</style>
