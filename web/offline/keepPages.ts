/** Milliseconds: it fetches every page there is, which must not hold up the one that is opened. */
const afterFirstLook = 2_000;

/**
 * Lets the browser keep the pages, so that they open without the kitchen server, and can be installed as an app. Browsers
 * do so for this machine and for encrypted addresses only; elsewhere nothing happens.
 */
export function keepPages(): void {
  if (!('serviceWorker' in navigator)) return;
  window.addEventListener('load', () => {
    window.setTimeout(() => {
      navigator.serviceWorker.register('/build/service-worker.js', { scope: '/' }).catch(() => undefined);
    }, afterFirstLook);
  });
}
