<script setup lang="ts">
import { mdiContentCopy } from '@mdi/js';
import { useClipboard } from '@vueuse/core';
import { computed } from 'vue';
import { dayAndTime } from '../../app/format.ts';
import { peopleWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** A link as it is handed over: shown once. */
const { link } = defineProps<{ link: { code: string; endsAt: string; name: string } }>();
defineEmits<{ done: [] }>();
const address = computed(() => `${window.location.origin}/join/${link.code}`);
const { copy, copied, isSupported } = useClipboard({ legacy: true });
</script>

<template>
  <div class="made" role="status">
    <p>
      <TextWith :text="words.forOnceUntilItIs(dayAndTime(link.endsAt))">
        <template #name>
          <b>{{ link.name }}</b>
        </template>
      </TextWith>
    </p>
    <VTextField
      :model-value="address"
      :label="words.link"
      readonly
      density="compact"
      hide-details
      @focus="($event.target as HTMLInputElement).select()"
    />
    <p class="acts">
      <VBtn v-if="isSupported" variant="outlined" :prepend-icon="mdiContentCopy" @click="copy(address)">{{
        copied ? words.copied : words.copy
      }}</VBtn>
      <VBtn variant="text" @click="$emit('done')">{{ words.handedOver }}</VBtn>
    </p>
  </div>
</template>

<style scoped>
.made {
  padding: var(--space-3);
  margin-bottom: var(--space-3);
  background: var(--watch-ground);
}
.made > * {
  margin-top: var(--space-2);
}
</style>
