/** What the worker uses of its own surroundings; the page's own types do not know them. */
type Waits = { waitUntil(work: Promise<unknown>): void };
type Surroundings = {
  readonly location: Location;
  readonly clients: {
    claim(): Promise<void>;
    matchAll(options: { type: 'window' }): Promise<readonly { focus(): Promise<unknown> }[]>;
    openWindow(url: string): Promise<unknown>;
  };
  skipWaiting(): Promise<void>;
  addEventListener(type: 'install' | 'activate', listener: (event: Waits) => void): void;
  addEventListener(
    type: 'message',
    listener: (
      event: Waits & {
        readonly data: { readonly keep?: unknown; readonly whence?: unknown } | null;
        readonly source: { readonly id?: string } | null;
        readonly ports: readonly MessagePort[];
      },
    ) => void,
  ): void;
  readonly registration: { showNotification(title: string, options: object): Promise<void> };
  addEventListener(
    type: 'push',
    listener: (event: Waits & { readonly data: { json(): unknown } | null }) => void,
  ): void;
  addEventListener(
    type: 'notificationclick',
    listener: (event: Waits & { readonly notification: { close(): void } }) => void,
  ): void;
  addEventListener(
    type: 'fetch',
    listener: (
      event: Waits & {
        readonly request: Request;
        readonly resultingClientId: string;
        respondWith(answer: Promise<Response>): void;
      },
    ) => void,
  ): void;
};

/**
 * The patient's service worker. Its scope is the patient's page only; the clinic's pages are never
 * kept on a device. A page is answered from the network while there is one, within three seconds, and
 * else as it was kept, headers and all, so that its policy and its nonce agree. Files carry a hash in
 * their address: once kept they never change.
 *
 * Self-contained: its text is what the phone gets, so that it reaches nothing outside itself.
 */
export function patientWorker(self: Surroundings): void {
  const CACHE = 'dry-lantern-1';
  const PAGE = '/today';
  // What stands in the place of a page of the patient's that needs a signal.
  const INSTEAD = '/today/offline';
  const PATIENCE_MS = 3000;
  const MOST_OPEN = 20;
  // Who shows a page that the network answered: only that one was made just now.
  const answered = new Set<string>();

  function noteAnswered(client: string): void {
    answered.add(client);
    for (const oldest of answered) {
      if (answered.size <= MOST_OPEN) break;
      answered.delete(oldest);
    }
  }

  async function keepAll(urls: readonly string[]): Promise<void> {
    const cache = await caches.open(CACHE);
    const wanted = new Set(urls.map((url) => new URL(url, self.location.origin).href));
    await Promise.all(
      [...wanted].map(async (url) => {
        const isPage = [PAGE, INSTEAD].includes(new URL(url).pathname);
        if (!isPage && (await cache.match(url))) return;
        const response = await fetch(url, { credentials: 'same-origin' });
        if (response.ok && !response.redirected) await cache.put(url, response);
      }),
    );
    for (const request of await cache.keys())
      if (!wanted.has(request.url)) await cache.delete(request);
  }

  async function page(request: Request, client: string): Promise<Response> {
    const cache = await caches.open(CACHE);
    const kept = await cache.match(PAGE);
    const fresh = fetch(request);
    const late = new Promise<null>((resolve) => {
      if (kept) setTimeout(() => resolve(null), PATIENCE_MS);
    });
    const response = await Promise.race([fresh, late]).catch((error: unknown) => {
      if (!kept) throw error;
      return null;
    });
    if (kept && (response === null || response.status >= 500)) return kept;
    noteAnswered(client);
    return response ?? fresh;
  }

  async function otherPage(request: Request): Promise<Response> {
    try {
      return await fetch(request);
    } catch (error) {
      const kept = await (await caches.open(CACHE)).match(INSTEAD);
      if (!kept) throw error;
      return kept;
    }
  }

  async function file(request: Request): Promise<Response> {
    const kept = await (await caches.open(CACHE)).match(request);
    if (!kept) return fetch(request);
    // A worker's script needs an address of its own, without the one it was kept under.
    return request.destination === 'worker'
      ? new Response(kept.body, { status: kept.status, headers: kept.headers })
      : kept;
  }

  async function show(): Promise<unknown> {
    const [open] = await self.clients.matchAll({ type: 'window' });
    return open ? open.focus() : self.clients.openWindow(PAGE);
  }

  self.addEventListener('install', () => void self.skipWaiting());
  self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
  self.addEventListener('message', (event) => {
    const keep = event.data?.keep;
    if (event.data?.whence) event.ports[0]?.postMessage(answered.has(event.source?.id ?? ''));
    if (Array.isArray(keep)) event.waitUntil(keepAll(keep.map(String)));
  });
  self.addEventListener('push', (event) => {
    let said: { readonly title?: unknown; readonly body?: unknown } = {};
    try {
      said = event.data?.json() ?? {};
    } catch {
      // Not ours; a browser wants a notice all the same.
    }
    const text = (part: unknown, most: number) =>
      typeof part === 'string' ? part.slice(0, most) : '';
    const body = text(said.body, 300);
    const title = text(said.title, 100) || 'Dry Lantern';
    event.waitUntil(self.registration.showNotification(title, { body, tag: body }));
  });
  self.addEventListener('notificationclick', (event) => {
    event.notification.close();
    event.waitUntil(show());
  });
  self.addEventListener('fetch', (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (request.method !== 'GET' || url.origin !== self.location.origin) return;
    if (request.mode === 'navigate' && url.pathname === PAGE)
      event.respondWith(page(request, event.resultingClientId));
    else if (request.mode === 'navigate') event.respondWith(otherPage(request));
    else if (/^\/(_next\/static|figures|api\/v1\/patient\/set-up)\//.test(url.pathname))
      event.respondWith(file(request));
  });
}
