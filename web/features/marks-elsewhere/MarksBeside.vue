<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed } from 'vue';
import { useMarksBeside } from './marks-beside-store.ts';
import { marksElsewhereWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** Files of marks that wait for the film of their name. */
const { sessionId } = defineProps<{ sessionId: string }>();
const marks = useMarksBeside();
const mine = computed(() => marks.waiting.filter((one) => one.sessionId === sessionId));
</script>

<template>
  <ul v-if="mine.length > 0" class="list" :aria-label="words.filesOfMarksThatWait">
    <li v-for="{ name } in mine" :key="name" class="acts waiting">
      <span>
        <TextWith :text="words.waitsForTheFilmOf">
          <template #name>
            <b>{{ name }}</b>
          </template>
        </TextWith>
      </span>
      <VSpacer />
      <VBtn
        :icon="mdiClose"
        size="small"
        variant="text"
        :aria-label="words.letGoOf(name)"
        :title="words.letGoOfIt"
        @click="marks.forget(sessionId, name)"
      />
    </li>
  </ul>
</template>

<style scoped>
.waiting {
  padding: var(--space-1-5) var(--space-3);
}
</style>
