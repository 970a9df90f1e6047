/**
 * The patient's service worker. Its scope is the patient's page only; the clinic's pages are never
 * kept on a device. A page is answered from the network while there is one, within three seconds, and
 * else as it was kept, headers and all, so that its policy and its nonce agree. Files carry a hash in
 * their address: once kept they never change.
 */
const WORKER = `
const CACHE = 'dry-lantern-1';
const PAGE = '/today';
const PATIENCE_MS = 3000;
self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('message', (event) => {
  const keep = event.data && event.data.keep;
  if (Array.isArray(keep)) event.waitUntil(keepAll(keep));
});
async function keepAll(urls) {
  const cache = await caches.open(CACHE);
  const wanted = new Set(urls.map((url) => new URL(url, self.location.origin).href));
  await Promise.all([...wanted].map(async (url) => {
    const isPage = new URL(url).pathname === PAGE;
    if (!isPage && (await cache.match(url))) return;
    const response = await fetch(url, { credentials: 'same-origin' });
    if (response.ok && !response.redirected) await cache.put(url, response);
  }));
  for (const request of await cache.keys()) if (!wanted.has(request.url)) await cache.delete(request);
}
async function page(request) {
  const cache = await caches.open(CACHE);
  const kept = await cache.match(PAGE);
  const fresh = fetch(request);
  if (!kept) return fresh;
  const late = new Promise((resolve) => setTimeout(() => resolve(kept.clone()), PATIENCE_MS));
  const answer = fresh.then((response) => (response.status >= 500 ? kept.clone() : response));
  return Promise.race([answer, late]).catch(() => kept.clone());
}
async function file(request) {
  const kept = await (await caches.open(CACHE)).match(request);
  if (!kept) return fetch(request);
  // A worker's script needs an address of its own, without the one it was kept under.
  return request.destination === 'worker'
    ? new Response(kept.body, { status: kept.status, headers: kept.headers })
    : kept;
}
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil((async () => {
    const [open] = await self.clients.matchAll({ type: 'window' });
    return open ? open.focus() : self.clients.openWindow(PAGE);
  })());
});
self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate' && url.pathname === PAGE) event.respondWith(page(request));
  else if (/^\\/(_next\\/static|figures)\\//.test(url.pathname)) event.respondWith(file(request));
});
`;

export function GET(): Response {
  return new Response(WORKER, {
    headers: {
      'Content-Type': 'text/javascript; charset=utf-8',
      'Cache-Control': 'no-cache',
      'Service-Worker-Allowed': '/today',
    },
  });
}
