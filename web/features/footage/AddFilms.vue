<script setup lang="ts">
import { mdiClose, mdiFilmstripBoxMultiple } from '@mdi/js';
import { marksEndings } from '@wax-fist/contract/marks-elsewhere';
import { videoEndings } from '@wax-fist/contract/footage';
import { viewNames, views, type View } from '@wax-fist/core/technique';
import { computed, ref, watch } from 'vue';
import MarksBeside from '../marks-elsewhere/MarksBeside.vue';
import { isMarksFile, useMarksBeside } from '../marks-elsewhere/marks-beside-store.ts';
import SendingRow from './SendingRow.vue';
import { useUploads } from './uploads-store.ts';
import { footageWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const { sessionId, taken } = defineProps<{ sessionId: string; /** Views that are here already. */ taken: readonly View[] }>();
const emit = defineEmits<{ added: [] }>();
const uploads = useUploads();
const marksBeside = useMarksBeside();
const chooser = ref<HTMLInputElement>();
const over = ref(false);
const view = ref<View>('lead-side');
/** A round is mostly filmed from two sides: offer the one that is missing. */
watch(
  () => taken,
  () => (view.value = (['lead-side', 'front'] as const).find((one) => !taken.includes(one)) ?? 'lead-side'),
  { immediate: true },
);
const viewItems = views.map((value) => ({ value, title: viewNames[value] }));
const mine = computed(() => uploads.sendings.filter((one) => one.sessionId === sessionId));

function add(files: FileList | null | undefined): void {
  over.value = false;
  for (const file of files ?? []) {
    if (isMarksFile(file.name)) marksBeside.keep(sessionId, file);
    else uploads.send(file, sessionId, view.value, () => emit('added'));
  }
  if (chooser.value) chooser.value.value = '';
}
</script>

<template>
  <div
    class="add"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="add($event.dataTransfer?.files)"
  >
    <VIcon :icon="mdiFilmstripBoxMultiple" size="30" />
    <div class="words">
      <b>{{ words.dropFilmsHere }}</b>
      <span class="quiet">{{ words.mpMovWebmMkvOr }}</span>
    </div>
    <VSelect v-model="view" :items="viewItems" :label="words.filmedFrom" density="compact" hide-details class="from" />
    <VBtn color="primary" @click="chooser?.click()">{{ words.chooseFilms }}</VBtn>
    <input
      ref="chooser"
      type="file"
      multiple
      hidden
      :accept="['video/*', ...videoEndings, ...marksEndings].join(',')"
      @change="add(chooser?.files)"
    />
  </div>
  <ul v-if="mine.length > 0" class="list sendings" :aria-label="words.filmsBeingSent">
    <SendingRow v-for="one in mine" :key="one.id" :sending="one" />
  </ul>
  <MarksBeside :session-id="sessionId" />
  <ul v-if="uploads.halfSent.length > 0" class="list sendings" :aria-label="words.filmsHalfSent">
    <li v-for="one in uploads.halfSent" :key="one.fileName" class="half">
      <span>
        <TextWith :text="words.wasHalfSentWhenThe">
          <template #fileName>
            <b>{{ one.fileName }}</b>
          </template>
        </TextWith>
      </span>
      <VBtn
        :icon="mdiClose"
        size="small"
        variant="text"
        :aria-label="words.forgetFileName(one.fileName)"
        :title="words.forgetIt"
        @click="one.forget"
      />
    </li>
  </ul>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-3) var(--space-4);
  padding: var(--space-3) var(--space-4);
  border: 2px dashed var(--edge);
  background: rgb(var(--v-theme-surface));
  margin-top: var(--space-2);
}
.add.over {
  border-color: rgb(var(--v-theme-primary));
  background: var(--dropping);
}
.words {
  flex: 1 1 240px;
  display: flex;
  flex-direction: column;
}
.from {
  flex: 0 1 170px;
}
.sendings {
  border-top: 0;
}
.half {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: var(--space-1-5) var(--space-3);
}
</style>
