<script setup lang="ts">
import { mdiTrayArrowDown } from '@mdi/js';

/** Files in open formats, to be carried elsewhere. */
defineProps<{
  label: string;
  files: readonly { url: string; name: string }[];
  /** As a sign alone, where there is little room. */
  small?: boolean;
}>();
</script>

<template>
  <VMenu>
    <template #activator="{ props }">
      <VBtn v-if="small" v-bind="props" :icon="mdiTrayArrowDown" size="small" variant="text" :aria-label="label" :title="label" />
      <VBtn v-else v-bind="props" variant="outlined" :prepend-icon="mdiTrayArrowDown">{{ label }}</VBtn>
    </template>
    <VList role="group" :aria-label="label">
      <VListItem v-for="{ url, name } in files" :key="url" :href="url" :title="name" download />
      <slot />
    </VList>
  </VMenu>
</template>
