import { mannerFrom, usualManner } from '@wax-fist/core/words';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { useAccount } from '../features/accounts/account-store.ts';
import App from './App.vue';
import { whenSignedOut } from './request.ts';
import { router } from './router.ts';
import './style.css';
import { keepForOffline } from '../offline/register.ts';
import { vuetify } from './theme.ts';

const app = createApp(App).use(createPinia()).use(router).use(vuetify);
mannerFrom(() => useAccount().me?.manner ?? usualManner);
whenSignedOut(() => {
  const account = useAccount();
  // Whoever was not signed in here is led to the door by the router.
  if (!account.me) return;
  account.forget();
  void router.push({ name: 'sign-in', query: { to: router.currentRoute.value.fullPath } });
});
app.mount('#app');
keepForOffline();
