/// <reference lib="webworker" />
declare const self: ServiceWorkerGlobalScope;
/** What the pages are built of; the build writes the list here. */
declare const builtFiles: readonly string[];

const kept = builtFiles.join(' ');
const page = '/';
const patience = 4_000;

/** The pages are kept whole, so that each of them opens where the kitchen server cannot be reached. */
async function keepPages(): Promise<void> {
  const cache = await caches.open(kept);
  await cache.addAll([page, ...builtFiles]);
}

async function dropOlder(): Promise<void> {
  const names = await caches.keys();
  await Promise.all(names.filter((name) => name !== kept).map((name) => caches.delete(name)));
  await self.clients.claim();
}

/** The page of the server, where there is one: only then is it sure to fit what the server answers. */
async function openPage(request: Request): Promise<Response> {
  try {
    return await fetch(request, { signal: AbortSignal.timeout(patience) });
  } catch (reason) {
    const found = await caches.match(page);
    if (found === undefined) throw reason;
    return found;
  }
}

self.addEventListener('install', (event) => {
  event.waitUntil(keepPages().then(() => self.skipWaiting()));
});
self.addEventListener('activate', (event) => {
  event.waitUntil(dropOlder());
});
self.addEventListener('fetch', (event) => {
  const { pathname } = new URL(event.request.url);
  if (event.request.mode === 'navigate' && !pathname.startsWith('/api/')) {
    event.respondWith(openPage(event.request));
  } else if (builtFiles.includes(pathname)) {
    event.respondWith(caches.match(event.request).then((found) => found ?? fetch(event.request)));
  }
});
export {};
