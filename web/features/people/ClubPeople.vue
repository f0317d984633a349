<script setup lang="ts">
import { mdiAccountPlus } from '@mdi/js';
import { isStaff, staffRoles, type Role } from '@wax-fist/contract/endpoint';
import { peopleEndpoints, type OpenInvite, type Person } from '@wax-fist/contract/people';
import { secondFactorEndpoints } from '@wax-fist/contract/second-factor';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { dayAndTime } from '../../app/format.ts';
import { useNotice } from '../../app/notice-store.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useAccount } from '../accounts/account-store.ts';
import EntryLink from './EntryLink.vue';
import InviteDialog from './InviteDialog.vue';
import { roleNames } from './role-names.ts';

/** Everybody who signs in: invited, helped back in, given another role, taken away. */
const account = useAccount();
const notice = useNotice();
const inviting = ref(false);
const leaving = ref<Person>();
const trouble = ref<string>();
/** A link that was just made: it is shown once. */
const link = ref<{ code: string; endsAt: string; name: string }>();
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const [people, invites] = await Promise.all([request(peopleEndpoints.listPeople), request(peopleEndpoints.listInvites)]);
  return { people, invites };
});
const roleItems = staffRoles.map((value) => ({ value, title: roleNames[value] }));

async function act(doing: () => Promise<unknown>): Promise<void> {
  trouble.value = undefined;
  try {
    await doing();
    await again();
  } catch (error) {
    trouble.value = messageOf(error);
    await again();
  }
}
const give = ({ id: personId, name }: Person, role: Role) =>
  act(async () => {
    await request(peopleEndpoints.changePerson, { params: { personId }, body: { role, traineeIds: [] } });
    notice.say(`${name} is ${roleNames[role].toLowerCase()} now.`);
  });
const help = ({ id: personId, name }: Person) =>
  act(async () => {
    link.value = { name, ...(await request(peopleEndpoints.helpBackIn, { params: { personId } })) };
  });
const takeOff = ({ id: personId, name }: Person) =>
  act(async () => {
    await request(secondFactorEndpoints.takeOffSecondFactor, { params: { personId } });
    notice.say(`${name} signs in by password alone, and was signed out everywhere.`);
  });
const anew = ({ endsAt: _, ...invite }: OpenInvite) =>
  act(async () => {
    link.value = { name: invite.name, ...(await request(peopleEndpoints.invite, { body: invite })) };
  });
const takeBack = ({ id, name }: OpenInvite) =>
  act(async () => {
    await request(peopleEndpoints.removeInvite, { params: { inviteId: id } });
    notice.say(`The link for ${name} opens nothing any more.`);
  });
const remove = () =>
  act(async () => {
    const { id: personId, name } = leaving.value!;
    leaving.value = undefined;
    await request(peopleEndpoints.removePerson, { params: { personId } });
    notice.say(`${name} can no longer sign in.`);
  });
/** Of whom somebody is the guardian; a trainee is themselves. */
const forWhom = ({ role, trainees }: Person): string =>
  role === 'guardian' && trainees.length > 0 ? ` of ${trainees.map(({ name }) => name).join(', ')}` : '';
function made(name: string, code: { code: string; endsAt: string }): void {
  link.value = { name, ...code };
  void again();
}
</script>

<template>
  <section aria-labelledby="people">
    <div class="page-head">
      <h2 id="people">People who sign in</h2>
      <VBtn color="primary" :prepend-icon="mdiAccountPlus" @click="inviting = true">Invite somebody</VBtn>
    </div>
    <p v-if="trouble" role="alert" class="text-error">{{ trouble }}</p>
    <EntryLink v-if="link" :key="link.code" :link="link" @done="link = undefined" />
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <ul class="list">
        <li v-for="one in page!.people" :key="one.id" class="entry">
          <span
            ><b>{{ one.name }}</b>
            <small class="quiet"
              >{{ one.email }}<template v-if="one.lastSignIn">, last in {{ dayAndTime(one.lastSignIn) }}</template></small
            ></span
          >
          <span v-if="one.id === account.me?.id" class="quiet">{{ roleNames[one.role] }}, you</span>
          <template v-else>
            <VSelect
              v-if="isStaff(one.role)"
              :model-value="one.role"
              :items="roleItems"
              :aria-label="`${one.name} is`"
              density="compact"
              hide-details
              class="role"
              @update:model-value="(role) => give(one, role as Role)"
            />
            <span v-else class="role">{{ roleNames[one.role] }}{{ forWhom(one) }}</span>
            <span class="acts">
              <VBtn variant="text" @click="help(one)">Lost the password</VBtn>
              <VBtn v-if="one.secondFactor" variant="text" @click="takeOff(one)">Lost the app</VBtn>
              <VBtn variant="text" @click="leaving = one">Take away</VBtn>
            </span>
          </template>
        </li>
        <li v-for="one in page!.invites" :key="one.id" class="entry open">
          <span
            ><b>{{ one.name }}</b>
            <small class="quiet"
              >invited as {{ roleNames[one.role].toLowerCase() }}, until {{ dayAndTime(one.endsAt) }}</small
            ></span
          >
          <span class="acts">
            <VBtn variant="text" @click="anew(one)">Another link</VBtn>
            <VBtn variant="text" @click="takeBack(one)">Take it back</VBtn>
          </span>
        </li>
      </ul>
    </PageState>
    <InviteDialog v-model="inviting" @made="made" />
    <VDialog
      :model-value="leaving !== undefined"
      max-width="460"
      aria-label="Take away"
      @update:model-value="leaving = undefined"
    >
      <VCard v-if="leaving" class="pa-6">
        <h2>{{ leaving.name }} can no longer sign in?</h2>
        <p class="what">What they have said stays, under no name. They come back only by another invitation.</p>
        <p class="acts ends">
          <VBtn variant="text" @click="leaving = undefined">Leave it</VBtn>
          <VBtn color="error" @click="remove">Take away</VBtn>
        </p>
      </VCard>
    </VDialog>
  </section>
</template>

<style scoped>
small {
  display: block;
}
.role {
  flex: 0 0 150px;
}
.open {
  border-left: 4px dashed var(--line);
}
.what {
  margin: var(--space-3) 0;
}
.ends {
  justify-content: flex-end;
}
</style>
