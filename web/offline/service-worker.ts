import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

/** Put in place by the build: everything that a page is made of, but for pictures. */
declare const precachedFiles: readonly string[];

/** There is one page for every address; it is kept with its headers, so that its nonce holds. */
const page = { cache: 'page', address: '/' };
const seconds = 4;

cleanupOutdatedCaches();
precacheAndRoute(precachedFiles.map((url) => ({ url, revision: null })));
registerRoute(
  new NavigationRoute(
    new NetworkFirst({
      cacheName: page.cache,
      networkTimeoutSeconds: seconds,
      plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve(page.address) }],
    }),
    { denylist: [/^\/api\//] },
  ),
);
addEventListener('install', (event) => {
  const installing = event as Event & { waitUntil: (until: Promise<unknown>) => void };
  installing.waitUntil(caches.open(page.cache).then((kept) => kept.add(page.address)));
});
// What was opened before there was one is served by it as well, from now on.
clientsClaim();
