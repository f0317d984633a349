<script setup lang="ts">
import { leastLetters, newPassword, peopleEndpoints } from '@wax-fist/contract/people';
import { signInShape } from '@wax-fist/contract/accounts';
import { typedCode } from '@wax-fist/contract/second-factor';
import { shortText } from '@wax-fist/contract/shapes';
import { messageOf } from '@wax-fist/core/message-of';
import { object } from 'yup';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import { vTakeFocus } from '../../app/take-focus.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useForm } from '../../app/use-form.ts';
import { useAccount } from '../accounts/account-store.ts';
import DoorSheet from '../accounts/DoorSheet.vue';
import CodeField from '../second-factor/CodeField.vue';
import { roleNames } from './role-names.ts';

/** Coming in by a link: into the club for the first time, or back in with a new password. */
const { code } = defineProps<{ code: string }>();
const router = useRouter();
const account = useAccount();
const shown = ref(false);
const { value: behind, failure } = useAnswer(async () => {
  const link = await request(peopleEndpoints.behindLink, { params: { code } });
  Object.assign(draft, { name: link.name, email: link.email ?? draft.email });
  return link;
});
const shape = signInShape
  .pick(['email'])
  .concat(object({ name: shortText('Name').required('Your name is needed.'), password: newPassword(), code: typedCode() }));
const { draft, problems, failure: trouble, busy, send } = useForm(shape, { email: '', name: '', password: '', code: '' });

const enter = (): Promise<void> =>
  send(async (body) => {
    const { password, code: typed } = body;
    const joins = behind.value!.kind === 'join';
    account.enter(
      joins
        ? await request(peopleEndpoints.join, { params: { code }, body })
        : await request(peopleEndpoints.reset, { params: { code }, body: { password, code: typed } }),
    );
    await router.replace('/').catch((error: unknown) => (trouble.value = messageOf(error)));
  });
</script>

<template>
  <DoorSheet @enter="enter">
    <template v-if="behind">
      <h1>{{ behind.kind === 'join' ? `Welcome, ${behind.name}` : 'A new password' }}</h1>
      <p class="quiet">
        {{ behind.kind === 'join' ? `You come in as ${roleNames[behind.role]?.toLowerCase()}.` : `For ${behind.email}.` }}
      </p>
      <template v-if="behind.kind === 'join'">
        <VTextField v-model="draft.name" label="Name" autocomplete="name" :error-messages="problems.name" />
        <VTextField v-model="draft.email" label="E-mail" type="email" autocomplete="username" :error-messages="problems.email" />
      </template>
      <VTextField
        v-model="draft.password"
        v-take-focus
        :label="`New password, at least ${leastLetters} letters`"
        :type="shown ? 'text' : 'password'"
        autocomplete="new-password"
        :error-messages="problems.password"
      />
      <VCheckbox v-model="shown" label="Show the password" density="compact" hide-details class="mb-3" />
      <CodeField v-model="draft.code" once-asked :problem="problems.code" class="mb-2" />
      <VAlert v-if="trouble" type="error" variant="tonal" density="compact" class="mb-4" role="alert">{{ trouble }}</VAlert>
      <VBtn type="submit" color="primary" size="large" block :loading="busy">Come in</VBtn>
    </template>
    <template v-else-if="failure">
      <h1>This link opens nothing</h1>
      <p role="alert">It was used, has ended, or was taken back. Ask the head coach for another one.</p>
      <RouterLink to="/sign-in">To the sign-in</RouterLink>
    </template>
    <p v-else role="status">One moment …</p>
  </DoorSheet>
</template>
