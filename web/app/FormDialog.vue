<script setup lang="ts">
import { vTakeFocus } from './take-focus.ts';
import { appWords as words } from './words.ts';

const open = defineModel<boolean>({ required: true });
defineProps<{ title: string; failure: string | undefined; busy: boolean; saveName?: string }>();
defineEmits<{ save: [] }>();
</script>

<template>
  <VDialog v-model="open" max-width="560" :aria-label="title">
    <VCard class="pa-6">
      <form v-take-focus novalidate @submit.prevent="$emit('save')">
        <h2>{{ title }}</h2>
        <slot />
        <VAlert v-if="failure" type="error" variant="tonal" density="compact" class="mb-4" role="alert">{{ failure }}</VAlert>
        <div class="ends">
          <VBtn variant="text" @click="open = false">{{ words.leaveIt }}</VBtn>
          <VBtn type="submit" color="primary" :loading="busy">{{ saveName ?? words.save }}</VBtn>
        </div>
      </form>
    </VCard>
  </VDialog>
</template>

<style scoped>
h2 {
  font-size: var(--type-title);
  margin-bottom: var(--space-4);
}
.ends {
  display: flex;
  justify-content: flex-end;
  gap: var(--space-2);
  margin-top: var(--space-2);
}
</style>
