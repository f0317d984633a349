<script setup lang="ts">
import { signInShape } from '@wax-fist/contract/accounts';
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useForm } from '../../app/use-form.ts';
import { useAccount } from './account-store.ts';
import CodeField from '../second-factor/CodeField.vue';
import DoorSheet from './DoorSheet.vue';
import { vTakeFocus } from '../../app/take-focus.ts';
import { accountsWords as words } from './words.ts';

const route = useRoute();
const router = useRouter();
const account = useAccount();
const { draft, problems, failure, busy, send } = useForm(signInShape, { email: '', password: '', code: '' });
const shown = ref(false);

const enter = (): Promise<void> =>
  send(async ({ email, password, code }) => {
    await account.signIn(email, password, code);
    const wanted = route.query.to;
    // Only an address of our own: a link from outside must not send anyone elsewhere.
    await router.replace(typeof wanted === 'string' && /^\/(?!\/)/.test(wanted) ? wanted : '/');
  });
</script>

<template>
  <DoorSheet @enter="enter">
    <h1>Wax Fist</h1>
    <p class="quiet">{{ words.filmMarkCorrectLookAgain }}</p>
    <VTextField
      v-model="draft.email"
      v-take-focus
      :label="words.eMail"
      type="email"
      autocomplete="username"
      :error-messages="problems.email"
    />
    <VTextField
      v-model="draft.password"
      :label="words.password"
      :type="shown ? 'text' : 'password'"
      autocomplete="current-password"
      :error-messages="problems.password"
    />
    <VCheckbox v-model="shown" :label="words.showThePassword" density="compact" hide-details class="mb-3" />
    <CodeField v-model="draft.code" once-asked :problem="problems.code" class="mb-2" />
    <VAlert v-if="failure" type="error" variant="tonal" density="compact" class="mb-4" role="alert">{{ failure }}</VAlert>
    <VBtn type="submit" color="primary" size="large" block :loading="busy">{{ words.signIn }}</VBtn>
  </DoorSheet>
</template>
