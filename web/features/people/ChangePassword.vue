<script setup lang="ts">
import { leastLetters, newPassword, peopleEndpoints } from '@wax-fist/contract/people';
import { object, string } from 'yup';
import { ref } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useForm } from '../../app/use-form.ts';

/** Another password for oneself. */
const notice = useNotice();
const shown = ref(false);
const shape = object({ current: string().required('Your password until now.'), password: newPassword() });
const { draft, problems, failure, busy, send } = useForm(shape, { current: '', password: '' });
const change = (): Promise<void> =>
  send(async (body) => {
    await request(peopleEndpoints.changePassword, { body });
    Object.assign(draft, { current: '', password: '' });
    notice.say('Your password is another one now; every other browser is signed out.');
  });
</script>

<template>
  <section aria-labelledby="password">
    <h2 id="password">Password</h2>
    <form novalidate @submit.prevent="change">
      <VTextField
        v-model="draft.current"
        label="Until now"
        :type="shown ? 'text' : 'password'"
        autocomplete="current-password"
        :error-messages="problems.current"
      />
      <VTextField
        v-model="draft.password"
        :label="`From now on, at least ${leastLetters} letters`"
        :type="shown ? 'text' : 'password'"
        autocomplete="new-password"
        :error-messages="problems.password"
      />
      <VCheckbox v-model="shown" label="Show both" density="compact" hide-details />
      <p v-if="failure" role="alert">{{ failure }}</p>
      <VBtn type="submit" variant="outlined" :loading="busy">Change it</VBtn>
    </form>
  </section>
</template>
