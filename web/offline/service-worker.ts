import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkOnly } from 'workbox-strategies';

/** Put in place by the build: everything that a page is made of, but for pictures; and what tells this version from others. */
declare const precached: { files: readonly string[]; version: string };

/** There is one page for every address. It is kept with its headers, so that its nonce holds, and with the scripts that it names. */
const page = { cache: `page ${precached.version}`, address: '/' };
/** A server that does not answer for so long is none. */
const networkTimeoutSeconds = 4;

cleanupOutdatedCaches();
precacheAndRoute(precached.files.map((url) => ({ url, revision: null })));
// Never the page of a newer version: its scripts are not here while this one is at work.
const keptPage = async (): Promise<Response | undefined> => (await caches.open(page.cache)).match(page.address);
registerRoute(
  new NavigationRoute(new NetworkOnly({ networkTimeoutSeconds, plugins: [{ handlerDidError: keptPage }] }), {
    denylist: [/^\/api\//],
  }),
);

type Lasting = Event & { waitUntil: (until: Promise<unknown>) => void };
addEventListener('install', (event) =>
  (event as Lasting).waitUntil(caches.open(page.cache).then((kept) => kept.add(page.address))),
);
addEventListener('activate', (event) => {
  const ofOthers = (name: string): boolean => name.startsWith('page ') && name !== page.cache;
  const cleared = caches.keys().then((names) => Promise.all(names.filter(ofOthers).map((name) => caches.delete(name))));
  (event as Lasting).waitUntil(cleared);
});
// What was opened before there was one is served by it as well, from now on.
clientsClaim();
