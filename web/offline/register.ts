/** Pages open without a server from the second visit on. A new version waits until every page of the old one is closed. */
export function keepForOffline(): void {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  // After the page: it is what somebody waits for.
  addEventListener('load', () => void navigator.serviceWorker.register('/sw.js').catch(() => undefined));
}
