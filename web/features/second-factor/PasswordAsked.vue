<script setup lang="ts">
import { object, string } from 'yup';
import { vTakeFocus } from '../../app/take-focus.ts';
import { useForm } from '../../app/use-form.ts';

/** Asks for the password once more, before something that a stranger at an open browser must not do. */
const { send: onward } = defineProps<{ act: string; send: (current: string) => Promise<void> }>();
const emit = defineEmits<{ cancel: [] }>();
const shape = object({ current: string().required('Your password is needed.') });
const { draft, problems, failure, busy, send } = useForm(shape, { current: '' });
</script>

<template>
  <form novalidate @submit.prevent="send(({ current }) => onward(current))">
    <VTextField
      v-model="draft.current"
      v-take-focus
      label="Your password"
      type="password"
      autocomplete="current-password"
      :error-messages="problems.current"
    />
    <p v-if="failure" role="alert">{{ failure }}</p>
    <p class="acts">
      <VBtn type="submit" variant="outlined" :loading="busy">{{ act }}</VBtn>
      <VBtn variant="text" @click="emit('cancel')">Not now</VBtn>
    </p>
  </form>
</template>
