<script setup lang="ts">
import { lengthInWords, readLength } from '@wax-fist/core/setup';
import type { Centimetres } from '@wax-fist/core/units';
import { ref, watch } from 'vue';

/** A length, typed as people type it and told as they read it. Nothing typed is none; what cannot be read stays until it is mended. */
const { label, hint, problem } = defineProps<{ label: string; hint?: string; problem?: string }>();
/** Centimetres; not a number for what cannot be read. */
const length = defineModel<Centimetres | null | undefined>();

/** Whoever is asked for a length is asked elsewhere whether it can be. */
const anyLength = { what: label, least: 0, most: 10_000 };
const typed = ref('');
const unread = ref('');
watch(
  length,
  (now) => {
    if (Number.isNaN(now)) return;
    const said = readLength(typed.value, anyLength);
    // What somebody is typing is left as they type it.
    if (!(said.ok && said.value === now)) typed.value = now === null || now === undefined ? '' : lengthInWords(now);
    unread.value = '';
  },
  { immediate: true },
);
function read(text: string | null): void {
  typed.value = text ?? '';
  if (typed.value.trim() === '') return void (length.value = null);
  const said = readLength(typed.value, anyLength);
  length.value = said.ok ? said.value : Number.NaN;
  unread.value = said.ok ? '' : said.says;
}
</script>

<template>
  <VTextField
    :model-value="typed"
    :label="label"
    :hint="hint"
    :persistent-hint="hint !== undefined"
    :error-messages="unread || problem"
    @update:model-value="read"
  />
</template>
