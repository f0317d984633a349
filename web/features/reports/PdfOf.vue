<script setup lang="ts">
import { mdiFilePdfBox } from '@mdi/js';
import { paperNames, papers, type Paper } from '@wax-fist/contract/reports';
import { usePaper } from './paper.ts';
import { reportsWords as words } from './words.ts';

/** Takes something along as a PDF on the paper that is used here. */
defineProps<{ pdf: (paper: Paper) => string; disabled?: boolean }>();
const paper = usePaper();
</script>

<template>
  <span class="acts">
    <VBtnToggle v-model="paper" mandatory density="compact" variant="outlined" :aria-label="words.paper">
      <VBtn v-for="one in papers" :key="one" :value="one">{{ paperNames[one] }}</VBtn>
    </VBtnToggle>
    <VBtn
      variant="outlined"
      :prepend-icon="mdiFilePdfBox"
      :href="disabled ? undefined : pdf(paper)"
      :disabled="disabled"
      download
      >{{ words.pdf }}</VBtn
    >
  </span>
</template>
