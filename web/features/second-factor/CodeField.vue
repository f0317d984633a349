<script setup lang="ts">
import { ref, watch } from 'vue';
import { vTakeFocus } from '../../app/take-focus.ts';
import { secondFactorWords as words } from './words.ts';

/** Where the code of an app is typed, or one of the codes for when it is lost. */
const {
  problem,
  label = words.code,
  onceAsked = false,
} = defineProps<{
  problem?: string | undefined;
  label?: string;
  /** It is not there until the server has said that a code is needed; from then on it stays. */
  onceAsked?: boolean;
}>();
const code = defineModel<string>({ required: true });
const shown = ref(!onceAsked);
watch(
  () => problem,
  (now) => (shown.value ||= now !== undefined),
);
</script>

<template>
  <VTextField
    v-if="shown"
    v-model="code"
    v-take-focus
    :label="label"
    autocomplete="one-time-code"
    autocapitalize="none"
    spellcheck="false"
    :error-messages="problem"
  />
</template>
