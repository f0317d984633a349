<script setup lang="ts">
import { mdiFilePdfBox, mdiPrinter } from '@mdi/js';
import { paperNames, papers, type Paper } from '@wax-fist/contract/reports';
import { usePaper } from './paper.ts';

/** Print what is shown, or take it along as a PDF on the paper that is used here. */
const { pdf } = defineProps<{ pdf: (paper: Paper) => string }>();
const paper = usePaper();
const print = (): void => window.print();
</script>

<template>
  <div class="tools no-print">
    <slot />
    <VSpacer />
    <VBtnToggle v-model="paper" mandatory density="compact" variant="outlined" aria-label="Paper">
      <VBtn v-for="one in papers" :key="one" :value="one">{{ paperNames[one] }}</VBtn>
    </VBtnToggle>
    <VBtn variant="outlined" :prepend-icon="mdiFilePdfBox" :href="pdf(paper)" download>PDF</VBtn>
    <VBtn color="primary" :prepend-icon="mdiPrinter" @click="print">Print</VBtn>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 0 auto 14px;
}
</style>
