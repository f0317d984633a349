<script setup lang="ts">
import { mdiContentCopy } from '@mdi/js';
import { useClipboard } from '@vueuse/core';
import { computed } from 'vue';
import { dayAndTime } from '../../app/format.ts';

/** A link as it is handed over: shown once. */
const { link } = defineProps<{ link: { code: string; endsAt: string; name: string } }>();
defineEmits<{ done: [] }>();
const address = computed(() => `${window.location.origin}/join/${link.code}`);
const { copy, copied, isSupported } = useClipboard({ legacy: true });
</script>

<template>
  <div class="made" role="status">
    <p>
      For <b>{{ link.name }}</b>, once, until {{ dayAndTime(link.endsAt) }}. It is shown only now: copy it, or have it typed.
    </p>
    <VTextField
      :model-value="address"
      label="Link"
      readonly
      density="compact"
      hide-details
      @focus="($event.target as HTMLInputElement).select()"
    />
    <p class="acts">
      <VBtn v-if="isSupported" variant="outlined" :prepend-icon="mdiContentCopy" @click="copy(address)">{{
        copied ? 'Copied' : 'Copy'
      }}</VBtn>
      <VBtn variant="text" @click="$emit('done')">Handed over</VBtn>
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
