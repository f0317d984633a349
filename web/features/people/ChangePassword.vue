<script setup lang="ts">
import { leastLetters, newPassword, peopleEndpoints } from '@wax-fist/contract/people';
import { object, string } from 'yup';
import { ref } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useForm } from '../../app/use-form.ts';
import { peopleWords as words } from './words.ts';

/** Another password for oneself. */
const notice = useNotice();
const shown = ref(false);
const shape = object({ current: string().required(words.yourPasswordUntilNow), password: newPassword() });
const { draft, problems, failure, busy, send } = useForm(shape, { current: '', password: '' });
const change = (): Promise<void> =>
  send(async (body) => {
    await request(peopleEndpoints.changePassword, { body });
    Object.assign(draft, { current: '', password: '' });
    notice.say(words.yourPasswordIsAnotherOne);
  });
</script>

<template>
  <section aria-labelledby="password">
    <h2 id="password">{{ words.password }}</h2>
    <form novalidate @submit.prevent="change">
      <VTextField
        v-model="draft.current"
        :label="words.untilNow"
        :type="shown ? 'text' : 'password'"
        autocomplete="current-password"
        :error-messages="problems.current"
      />
      <VTextField
        v-model="draft.password"
        :label="words.fromNowOnAtLeast(leastLetters)"
        :type="shown ? 'text' : 'password'"
        autocomplete="new-password"
        :error-messages="problems.password"
      />
      <VCheckbox v-model="shown" :label="words.showBoth" density="compact" hide-details />
      <p v-if="failure" role="alert">{{ failure }}</p>
      <VBtn type="submit" variant="outlined" :loading="busy">{{ words.changeIt }}</VBtn>
    </form>
  </section>
</template>
