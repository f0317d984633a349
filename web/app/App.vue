<script setup lang="ts">
import { mdiAccountGroup, mdiCalendarToday, mdiFormatListChecks, mdiLogout, mdiNumeric, mdiSourceBranch } from '@mdi/js';
import { useRoute, useRouter } from 'vue-router';
import { useAccount } from '../features/accounts/account-store.ts';
import OutboxSign from '../features/review/OutboxSign.vue';

const route = useRoute();
const router = useRouter();
const account = useAccount();
const places = [
  { to: '/', name: 'Today', icon: mdiCalendarToday },
  { to: '/trainees', name: 'Trainees', icon: mdiAccountGroup },
  { to: '/checklists', name: 'Checklists', icon: mdiFormatListChecks },
  { to: '/schools', name: 'Schools', icon: mdiSourceBranch },
  { to: '/call-books', name: 'Call books', icon: mdiNumeric },
];

async function leave(): Promise<void> {
  await account.signOut();
  await router.push({ name: 'sign-in' });
}
</script>

<template>
  <VApp :theme="route.meta.bench ? 'bench' : 'daylight'">
    <VAppBar v-if="account.me && !route.meta.bench && !route.meta.open" flat height="56" color="primary" class="no-print">
      <a class="skip" href="#main">Skip to the page</a>
      <RouterLink to="/" class="name"><img src="/icon.svg" alt="" width="28" height="28" /> Wax Fist</RouterLink>
      <nav aria-label="Main">
        <RouterLink
          v-for="place in places"
          :key="place.to"
          :to="place.to"
          class="place"
          :class="{ here: place.to === '/' ? route.path === '/' : route.path.startsWith(place.to) }"
        >
          <VIcon :icon="place.icon" size="20" /> {{ place.name }}
        </RouterLink>
      </nav>
      <VSpacer />
      <OutboxSign class="mr-4" />
      <span class="mr-2">{{ account.me.name }}</span>
      <VBtn :icon="mdiLogout" aria-label="Sign out" title="Sign out" variant="text" @click="leave" />
    </VAppBar>
    <VMain id="main">
      <RouterView />
    </VMain>
  </VApp>
</template>

<style scoped>
.name,
.place {
  color: #fff;
  text-decoration: none;
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.name {
  font-weight: 700;
  font-size: 20px;
  margin: 0 28px 0 24px;
}
nav {
  display: flex;
  gap: 4px;
  align-self: stretch;
}
.place {
  padding: 0 16px;
  font-weight: 700;
  border-bottom: 4px solid transparent;
  border-top: 4px solid transparent;
  opacity: 0.85;
}
.place.here {
  border-bottom-color: #e9b44c;
  opacity: 1;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  background: #fff;
  padding: 8px;
  z-index: 2;
}
</style>
