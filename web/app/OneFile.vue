<script setup lang="ts">
import { mdiPaperclip } from '@mdi/js';

/** One file of this machine. */
defineProps<{ label: string; accept: string; disabled?: boolean }>();
const emit = defineEmits<{ choose: [file: File] }>();
const chosen = (files: File | File[] | null): void => {
  const [one] = [files].flat();
  if (one) emit('choose', one);
};
</script>

<template>
  <VFileInput
    :label="label"
    prepend-icon=""
    :prepend-inner-icon="mdiPaperclip"
    :accept="accept"
    density="comfortable"
    hide-details
    :disabled="disabled"
    class="file"
    @update:model-value="chosen"
  />
</template>

<style scoped>
.file {
  max-width: 520px;
}
</style>
