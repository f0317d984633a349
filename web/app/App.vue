<script setup lang="ts">
import {
  mdiAccountCircleOutline,
  mdiAccountGroup,
  mdiCalendarToday,
  mdiFormatListChecks,
  mdiHomeOutline,
  mdiLogout,
  mdiStairs,
  mdiTimerOutline,
} from '@mdi/js';
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useAccount } from '../features/accounts/account-store.ts';
import MainPlaces from './MainPlaces.vue';
import NoticeBar from './NoticeBar.vue';
import OutboxSign from '../features/review/OutboxSign.vue';
import { appWords as words } from './words.ts';

const route = useRoute();
const router = useRouter();
const account = useAccount();
const ownPlaces = [{ to: '/own', name: 'Home', icon: mdiHomeOutline }];
const clubPlaces = [
  { to: '/', name: words.today, icon: mdiCalendarToday },
  { to: '/trainees', name: words.trainees, icon: mdiAccountGroup },
  { to: '/corrections', name: words.corrections, icon: mdiStairs },
  {
    to: '/floor',
    name: words.floor,
    icon: mdiTimerOutline,
    also: ['/drills', '/plans', '/set-up', '/stations', '/syllabus', '/tests', '/week-plan', '/pair'],
  },
  {
    to: '/checklists',
    name: words.checklists,
    icon: mdiFormatListChecks,
    also: ['/schools', '/call-books', '/measures', '/reviewing'],
  },
];

const places = computed(() => (account.worksHere ? clubPlaces : ownPlaces));
const shell = computed(() => account.me !== undefined && !route.meta.bench && !route.meta.open);
/** Below this there is no room for a menu above, and the thumb is below. */
const wide = useMediaQuery('(min-width: 900px)');

async function leave(): Promise<void> {
  await account.signOut();
  await router.push({ name: 'sign-in' });
}
</script>

<template>
  <VApp :theme="route.meta.bench ? 'bench' : 'daylight'">
    <VAppBar v-if="shell && account.me" flat height="56" color="primary" class="no-print">
      <a class="skip" href="#main">{{ words.skipToThePage }}</a>
      <RouterLink to="/" class="name" :aria-label="words.waxFist"
        ><img src="/icon.svg" alt="" width="28" height="28" /> <span class="words">Wax Fist</span></RouterLink
      >
      <MainPlaces v-if="wide || !account.worksHere" :places="places" />
      <VSpacer />
      <OutboxSign v-if="account.worksHere" class="mr-4" />
      <RouterLink :to="{ name: 'people' }" class="me" :title="words.peopleAndSignIns"
        ><VIcon v-if="!wide" :icon="mdiAccountCircleOutline" /><span :class="{ unseen: !wide }">{{
          account.me.name
        }}</span></RouterLink
      >
      <VBtn :icon="mdiLogout" :aria-label="words.signOut" :title="words.signOut" variant="text" @click="leave" />
    </VAppBar>
    <VFooter v-if="shell && !wide && account.worksHere" app height="60" color="primary" class="thumb no-print">
      <MainPlaces :places="places" below />
    </VFooter>
    <VMain id="main">
      <RouterView />
    </VMain>
    <NoticeBar />
  </VApp>
</template>

<style scoped>
.name {
  color: var(--white);
  text-decoration: none;
  display: inline-flex;
  align-items: center;
  gap: var(--space-2);
  font-weight: 700;
  font-size: var(--type-title);
  margin: 0 var(--space-6) 0 var(--space-6);
  white-space: nowrap;
}
.me.me {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  position: relative;
  min-width: 44px;
  min-height: 44px;
  margin-right: var(--space-2);
  color: var(--white);
}
.thumb {
  padding: 0;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  background: var(--white);
  padding: var(--space-2);
  z-index: 2;
}
@media screen and (max-width: 899px) {
  .name {
    margin: 0 var(--space-2) 0 var(--space-4);
  }
}
/* Beside what is saved, oneself and the way out there is no room for the name as well. */
@media screen and (max-width: 389px) {
  .words {
    display: none;
  }
}
</style>
