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
import { peopleWords as words } from './words.ts';

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
    notice.say(words.isNow(name, roleNames[role].toLowerCase()));
  });
const help = ({ id: personId, name }: Person) =>
  act(async () => {
    link.value = { name, ...(await request(peopleEndpoints.helpBackIn, { params: { personId } })) };
  });
const takeOff = ({ id: personId, name }: Person) =>
  act(async () => {
    await request(secondFactorEndpoints.takeOffSecondFactor, { params: { personId } });
    notice.say(words.signsInByPasswordAlone(name));
  });
const anew = ({ endsAt: _, ...invite }: OpenInvite) =>
  act(async () => {
    link.value = { name: invite.name, ...(await request(peopleEndpoints.invite, { body: invite })) };
  });
const takeBack = ({ id, name }: OpenInvite) =>
  act(async () => {
    await request(peopleEndpoints.removeInvite, { params: { inviteId: id } });
    notice.say(words.theLinkForOpensNothing(name));
  });
const remove = () =>
  act(async () => {
    const { id: personId, name } = leaving.value!;
    leaving.value = undefined;
    await request(peopleEndpoints.removePerson, { params: { personId } });
    notice.say(words.canNoLongerSignInName(name));
  });
/** Of whom somebody is the guardian; a trainee is themselves. */
const forWhom = ({ role, trainees }: Person): string =>
  role === 'guardian' && trainees.length > 0 ? words.ofTrainees(trainees.map(({ name }) => name).join(', ')) : '';
function made(name: string, code: { code: string; endsAt: string }): void {
  link.value = { name, ...code };
  void again();
}
</script>

<template>
  <section aria-labelledby="people">
    <div class="page-head">
      <h2 id="people">{{ words.peopleWhoSignIn }}</h2>
      <VBtn color="primary" :prepend-icon="mdiAccountPlus" @click="inviting = true">{{ words.inviteSomebody }}</VBtn>
    </div>
    <p v-if="trouble" role="alert" class="text-error">{{ trouble }}</p>
    <EntryLink v-if="link" :key="link.code" :link="link" @done="link = undefined" />
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <ul class="list">
        <li v-for="one in page!.people" :key="one.id" class="entry">
          <span
            ><b>{{ one.name }}</b>
            <small class="quiet"
              >{{ one.email }}<template v-if="one.lastSignIn">{{ words.lastIn(dayAndTime(one.lastSignIn)) }}</template></small
            ></span
          >
          <span v-if="one.id === account.me?.id" class="quiet">{{ words.youRoleNames(roleNames[one.role]) }}</span>
          <template v-else>
            <VSelect
              v-if="isStaff(one.role)"
              :model-value="one.role"
              :items="roleItems"
              :aria-label="words.isName(one.name)"
              density="compact"
              hide-details
              class="role"
              @update:model-value="(role) => give(one, role as Role)"
            />
            <span v-else class="role">{{ roleNames[one.role] }}{{ forWhom(one) }}</span>
            <span class="acts">
              <VBtn variant="text" @click="help(one)">{{ words.lostThePassword }}</VBtn>
              <VBtn v-if="one.secondFactor" variant="text" @click="takeOff(one)">{{ words.lostTheApp }}</VBtn>
              <VBtn variant="text" @click="leaving = one">{{ words.takeAway }}</VBtn>
            </span>
          </template>
        </li>
        <li v-for="one in page!.invites" :key="one.id" class="entry open">
          <span
            ><b>{{ one.name }}</b>
            <small class="quiet">{{
              words.invitedAsUntil(roleNames[one.role].toLowerCase(), dayAndTime(one.endsAt))
            }}</small></span
          >
          <span class="acts">
            <VBtn variant="text" @click="anew(one)">{{ words.anotherLink }}</VBtn>
            <VBtn variant="text" @click="takeBack(one)">{{ words.takeItBack }}</VBtn>
          </span>
        </li>
      </ul>
    </PageState>
    <InviteDialog v-model="inviting" @made="made" />
    <VDialog
      :model-value="leaving !== undefined"
      max-width="460"
      :aria-label="words.takeAway"
      @update:model-value="leaving = undefined"
    >
      <VCard v-if="leaving" class="pa-6">
        <h2>{{ words.canNoLongerSignIn(leaving.name) }}</h2>
        <p class="what">{{ words.whatTheyHaveSaidStays }}</p>
        <p class="acts ends">
          <VBtn variant="text" @click="leaving = undefined">{{ words.leaveIt }}</VBtn>
          <VBtn color="error" @click="remove">{{ words.takeAway }}</VBtn>
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
