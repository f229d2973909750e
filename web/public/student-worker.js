// Keeps the student's page and its scripts, styles and type on the device. Data is never kept: what is not the page
// itself or an asset with its content in its name goes to the server as if this were not here.
const cacheName = 'student-page';
const page = '/student';

const isAsset = (url) => url.origin === self.location.origin && url.pathname.startsWith('/assets/');

/** The page as the server has it now; what it no longer names is let go of. */
async function renew() {
  const answer = await fetch(page, { cache: 'no-cache' });
  if (!answer.ok) return answer;
  const cache = await caches.open(cacheName);
  const before = await (await cache.match(page))?.text();
  const now = await answer.clone().text();
  await cache.put(page, answer.clone());
  if (before !== undefined && before !== now) {
    const named = now.match(/\/assets\/[^"]+/g) ?? [];
    for (const kept of await cache.keys()) {
      const { pathname } = new URL(kept.url);
      if (pathname.endsWith('.js') && !named.includes(pathname)) await cache.delete(kept);
    }
  }
  return answer;
}

async function shell(event) {
  const kept = await (await caches.open(cacheName)).match(page);
  const renewed = renew();
  if (kept === undefined) return renewed;
  event.waitUntil(renewed.catch(() => undefined));
  return kept;
}

async function asset(request) {
  const cache = await caches.open(cacheName);
  const kept = await cache.match(request);
  if (kept !== undefined) return kept;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request, answer.clone());
  return answer;
}

self.addEventListener('install', (event) => {
  self.skipWaiting();
  event.waitUntil(renew().catch(() => undefined));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== 'GET') return;
  if (event.request.mode === 'navigate' && url.pathname === page) event.respondWith(shell(event));
  else if (isAsset(url)) event.respondWith(asset(event.request));
});
