<script setup lang="ts">
import { mdiSendCheckOutline, mdiSendOutline } from '@mdi/js';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';

/** Shows a review to whoever signs in for the trainee, or takes it back from them. */
const { session, changed } = defineProps<{ session: SessionDetail; changed: () => Promise<unknown> }>();
const notice = useNotice();
const account = useAccount();
const trouble = ref<string>();

async function release(released: boolean): Promise<void> {
  trouble.value = undefined;
  try {
    await request(sessionEndpoints.releaseSession, { params: { sessionId: session.id }, body: { released } });
    await changed();
    const says = released ? `${session.trainee.name} sees this review now.` : 'Only coaches see this review now.';
    notice.say(says, () => release(!released));
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
</script>

<template>
  <VBtn
    v-if="account.may(sessionEndpoints.releaseSession)"
    variant="outlined"
    :prepend-icon="session.releasedAt ? mdiSendCheckOutline : mdiSendOutline"
    :title="
      session.releasedAt
        ? 'Takes it back from them'
        : 'Whoever signs in for them sees its films, strikes and report, and the cards opened in it'
    "
    @click="release(!session.releasedAt)"
    >{{ session.releasedAt ? 'Released' : 'Release' }}</VBtn
  >
  <span v-if="trouble" role="alert">{{ trouble }}</span>
</template>
