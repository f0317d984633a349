<script setup lang="ts">
import { vTakeFocus } from '../../app/take-focus.ts';

/** Where the code of an app is typed, or one of the codes for when it is lost. */
defineProps<{ problem?: string | undefined; label?: string }>();
const code = defineModel<string>({ required: true });
</script>

<template>
  <VTextField
    v-model="code"
    v-take-focus
    :label="label ?? 'Code'"
    autocomplete="one-time-code"
    autocapitalize="none"
    spellcheck="false"
    :error-messages="problem"
  />
</template>
