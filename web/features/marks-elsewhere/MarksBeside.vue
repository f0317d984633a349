<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed } from 'vue';
import { useMarksBeside } from './marks-beside-store.ts';

/** Files of marks that wait for the film of their name. */
const { sessionId } = defineProps<{ sessionId: string }>();
const marks = useMarksBeside();
const mine = computed(() => marks.waiting.filter((one) => one.sessionId === sessionId));
</script>

<template>
  <ul v-if="mine.length > 0" class="list" aria-label="Files of marks that wait for their film">
    <li v-for="{ name } in mine" :key="name" class="acts waiting">
      <span
        ><b>{{ name }}</b> waits for the film of its name; then it is read in from there.</span
      >
      <VSpacer />
      <VBtn
        :icon="mdiClose"
        size="small"
        variant="text"
        :aria-label="`Let go of ${name}`"
        title="Let go of it"
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
