<script setup lang="ts">
import { object, string } from 'yup';
import { vTakeFocus } from '../../app/take-focus.ts';
import { useForm } from '../../app/use-form.ts';
import { secondFactorWords as words } from './words.ts';

/** Asks for the password once more, before something that a stranger at an open browser must not do. */
const { send: onward } = defineProps<{ act: string; send: (current: string) => Promise<void> }>();
const emit = defineEmits<{ cancel: [] }>();
const shape = object({ current: string().required(words.yourPasswordIsNeeded) });
const { draft, problems, failure, busy, send } = useForm(shape, { current: '' });
</script>

<template>
  <form novalidate @submit.prevent="send(({ current }) => onward(current))">
    <VTextField
      v-model="draft.current"
      v-take-focus
      :label="words.yourPassword"
      type="password"
      autocomplete="current-password"
      :error-messages="problems.current"
    />
    <p v-if="failure" role="alert">{{ failure }}</p>
    <p class="acts">
      <VBtn type="submit" variant="outlined" :loading="busy">{{ act }}</VBtn>
      <VBtn variant="text" @click="emit('cancel')">{{ words.notNow }}</VBtn>
    </p>
  </form>
</template>
