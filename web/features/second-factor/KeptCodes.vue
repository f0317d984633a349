<script setup lang="ts">
import { secondFactorWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';
/** Codes for when the app is lost, shown this once. */
const { codes } = defineProps<{ codes: readonly string[] }>();
const emit = defineEmits<{ done: [] }>();
const file = `data:text/plain;charset=utf-8,${encodeURIComponent(words.waxFistCodesForWhen(codes.join('\n')))}`;
</script>

<template>
  <div class="kept" role="region" :aria-label="words.codesForWhenTheApp">
    <p>
      <TextWith :text="words.ifTheAppIsLost">
        <template #part>
          <b>{{ words.keepTheseWhereYourPhone }}</b>
        </template>
      </TextWith>
    </p>
    <ol class="numbered">
      <li v-for="code in codes" :key="code">
        <code>{{ code }}</code>
      </li>
    </ol>
    <p class="acts">
      <VBtn :href="file" download="wax-fist-codes.txt" variant="outlined">{{ words.saveAsAFile }}</VBtn>
      <VBtn variant="text" @click="emit('done')">{{ words.iHaveThem }}</VBtn>
    </p>
  </div>
</template>

<style scoped>
.kept {
  border-left: 4px solid var(--watch);
  padding: var(--space-1) 0 var(--space-1) var(--space-4);
}
ol {
  margin: var(--space-3) 0;
}
code {
  font-size: var(--type-text);
  overflow-wrap: anywhere;
}
</style>
