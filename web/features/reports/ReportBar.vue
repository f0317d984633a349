<script setup lang="ts">
import { mdiPrinter } from '@mdi/js';
import type { Paper } from '@wax-fist/contract/reports';
import PdfOf from './PdfOf.vue';
import { reportsWords as words } from './words.ts';

/** Print what is shown, or take it along as a PDF on the paper that is used here. */
defineProps<{ pdf: (paper: Paper) => string }>();
const print = (): void => window.print();
</script>

<template>
  <div class="tools no-print">
    <slot />
    <VSpacer />
    <PdfOf :pdf="pdf" />
    <VBtn color="primary" :prepend-icon="mdiPrinter" @click="print">{{ words.print }}</VBtn>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
  margin: 0 auto var(--space-3);
}
</style>
