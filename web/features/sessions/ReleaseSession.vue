<script setup lang="ts">
import { mdiAccountGroupOutline, mdiSendCheckOutline, mdiSendOutline } from '@mdi/js';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import { messageOf } from '@wax-fist/core/message-of';
import { releasedToWhom, type ReleasedTo } from '@wax-fist/core/trainee';
import { computed, ref } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';
import { sessionsWords as words } from './words.ts';

/** To whom a review is given: coaches only, whoever signs in for the trainee, everybody of the club. */
const { session, changed } = defineProps<{ session: SessionDetail; changed: () => Promise<unknown> }>();
const notice = useNotice();
const account = useAccount();
const trouble = ref<string>();
const now = computed<ReleasedTo>(() => (session.shownToClub ? 'club' : session.releasedAt ? 'themselves' : 'coaches'));

const name = session.trainee.name;
const choices: Record<ReleasedTo, { says: string; what: string; button: string; icon: string; done: string }> = {
  coaches: {
    ...{ says: words.coachesOnly, what: words.nobodyElseSeesIt, button: words.release, icon: mdiSendOutline },
    done: words.onlyCoachesSeeThisReview,
  },
  themselves: {
    ...{ says: name, what: words.filmsStrikesReportAndThe, button: words.released, icon: mdiSendCheckOutline },
    done: words.seesThisReviewNow(name),
  },
  club: {
    says: words.everybodyOfTheClub,
    what: words.othersSeeFilmsAndStrikes,
    ...{ button: words.shownToTheClub, icon: mdiAccountGroupOutline, done: words.everybodyOfTheClubSees },
  },
};

async function release(to: ReleasedTo): Promise<void> {
  trouble.value = undefined;
  const before = now.value;
  if (to === before) return;
  try {
    await request(sessionEndpoints.releaseSession, { params: { sessionId: session.id }, body: { to } });
    await changed();
    notice.say(choices[to].done, () => release(before));
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
</script>

<template>
  <VMenu v-if="account.may(sessionEndpoints.releaseSession)">
    <template #activator="{ props }">
      <VBtn v-bind="props" variant="outlined" :prepend-icon="choices[now].icon">{{ choices[now].button }}</VBtn>
    </template>
    <VList role="menu" :aria-label="words.whoSeesThisReview" max-width="360">
      <VListItem
        v-for="to in releasedToWhom"
        :key="to"
        role="menuitemradio"
        :aria-checked="to === now"
        :active="to === now"
        :prepend-icon="choices[to].icon"
        :title="choices[to].says"
        @click="release(to)"
      >
        <p class="quiet">{{ choices[to].what }}</p>
      </VListItem>
    </VList>
  </VMenu>
  <span v-if="trouble" role="alert" class="text-error">{{ trouble }}</span>
</template>
