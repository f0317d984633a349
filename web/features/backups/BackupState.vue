<script setup lang="ts">
import { mdiShieldAlertOutline, mdiShieldCheckOutline } from '@mdi/js';
import { backupEndpoints } from '@wax-fist/contract/backups';
import { computed } from 'vue';
import { dayAndTime, fileSize } from '../../app/format.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { backupsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

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
    <h2 id="backups">{{ words.backups }}</h2>
    <PageState :failure="failure" :ready="backups !== undefined" @again="again">
      <p class="state" :class="{ late }" role="status">
        <VIcon :icon="late ? mdiShieldAlertOutline : mdiShieldCheckOutline" size="24" />
        <span v-if="newest">
          <TextWith :text="words.theLastOneWasMade(newest.films, fileSize(newest.bytes), fileSize(newest.added))">
            <template #madeAt>
              <b class="number">{{ dayAndTime(newest.madeAt) }}</b>
            </template>
            <template #verifiedAt>
              <b class="number">{{ dayAndTime(newest.verifiedAt) }}</b>
            </template>
            <template #part>
              <b v-if="late">{{ words.thatIsMoreThanA }}</b>
            </template>
          </TextWith>
        </span>
        <b v-else>{{ words.noBackupWasEverMade }}</b>
      </p>
      <p class="quiet">
        <TextWith :text="words.madeOnTheMachineSealed">
          <template #code>
            <code>bin/backup FOLDER</code>
          </template>
          <template #code2>
            <code>bin/restore FOLDER</code>
          </template>
        </TextWith>
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
