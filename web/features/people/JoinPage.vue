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
import { peopleWords as words } from './words.ts';

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
  .concat(object({ name: shortText(words.name).required(words.yourNameIsNeeded), password: newPassword(), code: typedCode() }));
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
      <h1>{{ behind.kind === 'join' ? words.welcomeName(behind.name) : words.aNewPassword }}</h1>
      <p class="quiet">
        {{
          behind.kind === 'join'
            ? words.youComeInAs(roleNames[behind.role]?.toLowerCase() ?? '')
            : words.forEmail(behind.email ?? '')
        }}
      </p>
      <template v-if="behind.kind === 'join'">
        <VTextField v-model="draft.name" :label="words.name" autocomplete="name" :error-messages="problems.name" />
        <VTextField
          v-model="draft.email"
          :label="words.eMail"
          type="email"
          autocomplete="username"
          :error-messages="problems.email"
        />
      </template>
      <VTextField
        v-model="draft.password"
        v-take-focus
        :label="words.newPasswordAtLeastLetters(leastLetters)"
        :type="shown ? 'text' : 'password'"
        autocomplete="new-password"
        :error-messages="problems.password"
      />
      <VCheckbox v-model="shown" :label="words.showThePassword" density="compact" hide-details class="mb-3" />
      <CodeField v-model="draft.code" once-asked :problem="problems.code" class="mb-2" />
      <VAlert v-if="trouble" type="error" variant="tonal" density="compact" class="mb-4" role="alert">{{ trouble }}</VAlert>
      <VBtn type="submit" color="primary" size="large" block :loading="busy">{{ words.comeIn }}</VBtn>
    </template>
    <template v-else-if="failure">
      <h1>{{ words.thisLinkOpensNothing }}</h1>
      <p role="alert">{{ words.itWasUsedHasEnded }}</p>
      <RouterLink to="/sign-in">{{ words.toTheSignIn }}</RouterLink>
    </template>
    <p v-else role="status">{{ words.oneMoment }}</p>
  </DoorSheet>
</template>
