<script setup lang="ts">
import { mdiNumeric, mdiRabbit, mdiTortoise } from '@mdi/js';
import { computed } from 'vue';
import type { CallStyleInHand } from './use-call-style.ts';
import { floorWords as words } from './words.ts';

/** How fast it is called, and whether by numbers. */
const { calls } = defineProps<{ calls: CallStyleInHand }>();
const seconds = computed(() => calls.style.value.between / 1000);
</script>

<template>
  <span class="style">
    <VBtn
      :icon="mdiTortoise"
      variant="text"
      :aria-label="words.callSlower"
      :title="words.callSlowerByKey"
      :disabled="calls.isSlowest.value"
      @click="calls.slower"
    />
    <span class="number" :aria-label="words.secondsBetweenCalls(seconds)">{{ seconds }} s</span>
    <VBtn
      :icon="mdiRabbit"
      variant="text"
      :aria-label="words.callFaster"
      :title="words.callFasterByKey"
      :disabled="calls.isFastest.value"
      @click="calls.faster"
    />
    <VBtn
      :icon="mdiNumeric"
      variant="text"
      :aria-pressed="calls.style.value.numbers"
      :class="{ on: calls.style.value.numbers }"
      :aria-label="words.callByNumbers"
      :title="words.callByNumbersN"
      @click="calls.toggleNumbers"
    />
  </span>
</template>

<style scoped>
.style {
  display: flex;
  align-items: center;
}
.number {
  min-width: 3ch;
}
.on {
  background: var(--sheen);
}
</style>
