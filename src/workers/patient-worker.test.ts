import { patientWorker } from './patient-worker';

/** The worker's page, from the network and from what is kept; the surroundings are made up. */
const ORIGIN = 'https://clinic.example';
type Listener = (event: object) => void;

function worker() {
  const listeners = new Map<string, Listener>();
  const kept = new Map<string, Response>();
  let network: (url: string) => Promise<Response> = () => Promise.reject(new Error('no signal'));
  const urlOf = (of: string | { url: string }) =>
    new URL(typeof of === 'string' ? of : of.url, ORIGIN);
  Object.assign(globalThis, {
    caches: {
      open: () =>
        Promise.resolve({
          match: (of: string | { url: string }) =>
            Promise.resolve(kept.get(urlOf(of).href)?.clone()),
          put: (url: string, response: Response) => Promise.resolve(kept.set(url, response)),
          keys: () => Promise.resolve([...kept.keys()].map((url) => ({ url }))),
          delete: ({ url }: { url: string }) => Promise.resolve(kept.delete(url)),
        }),
    },
    fetch: (of: string | { url: string }) => network(urlOf(of).href),
  });
  patientWorker({
    location: { origin: ORIGIN },
    addEventListener: (type: string, listener: Listener) => listeners.set(type, listener),
  } as never);
  const message = async (data: object, source: string) => {
    const said: unknown[] = [];
    const works: Promise<unknown>[] = [];
    listeners.get('message')?.({
      data,
      source: { id: source },
      ports: [{ postMessage: (word: unknown) => said.push(word) }],
      waitUntil: (work: Promise<unknown>) => works.push(work),
    });
    await Promise.all(works);
    return said;
  };
  return {
    setNetwork: (now: typeof network) => (network = now),
    keep: (...urls: string[]) => message({ keep: urls }, 'any'),
    /** Whether the network answered with what this client shows. */
    whence: (client: string) => message({ whence: true }, client),
    /** Opens the patient's page, as somebody's finger does. */
    open: async (client: string) => {
      let answer: Promise<Response> | undefined;
      listeners.get('fetch')?.({
        request: { method: 'GET', mode: 'navigate', url: `${ORIGIN}/today` },
        resultingClientId: client,
        respondWith: (response: Promise<Response>) => (answer = response),
      });
      return (await answer)?.text();
    },
  };
}

const page = (words: string, status = 200) => Promise.resolve(new Response(words, { status }));
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it('says of a page that the network answered that it did, and of no other', async () => {
  const { setNetwork, keep, open, whence } = worker();
  setNetwork(() => page('of now'));
  expect(await open('first')).toBe('of now');
  expect(await whence('first')).toEqual([true]);
  expect(await whence('somebody else')).toEqual([false]);
  await keep('/today');
  // Days later, without a signal: as it was kept.
  setNetwork(() => Promise.reject(new Error('no signal')));
  expect(await open('second')).toBe('of now');
  expect(await whence('second')).toEqual([false]);
  expect(await whence('first')).toEqual([true]);
});

it('says that it kept what stands in the place of a fault of the clinic’s server', async () => {
  const { setNetwork, keep, open, whence } = worker();
  setNetwork(() => page('of now'));
  await keep('/today');
  setNetwork(() => page('broken', 503));
  expect(await open('one')).toBe('of now');
  expect(await whence('one')).toEqual([false]);
  setNetwork(() => page('not yours', 403));
  expect(await open('another')).toBe('not yours');
  expect(await whence('another')).toEqual([true]);
});

it('shows what is kept while the network takes its time, and says so', async () => {
  const { setNetwork, keep, open, whence } = worker();
  setNetwork(() => page('of yesterday'));
  await keep('/today');
  setNetwork(() => new Promise(() => undefined));
  const shown = open('one');
  await jest.advanceTimersByTimeAsync(2_900);
  await jest.advanceTimersByTimeAsync(200);
  expect(await shown).toBe('of yesterday');
  expect(await whence('one')).toEqual([false]);
});

it('gives what the network gives where nothing is kept, however long it takes', async () => {
  const { setNetwork, open, whence } = worker();
  setNetwork(
    () => new Promise((resolve) => setTimeout(() => resolve(new Response('late')), 60_000)),
  );
  const shown = open('one');
  await jest.advanceTimersByTimeAsync(60_100);
  expect(await shown).toBe('late');
  expect(await whence('one')).toEqual([true]);
  setNetwork(() => Promise.reject(new Error('no signal')));
  await expect(open('two')).rejects.toThrow('no signal');
  expect(await whence('two')).toEqual([false]);
});

it('remembers a bounded number of pages, the newest', async () => {
  const { setNetwork, open, whence } = worker();
  setNetwork(() => page('of now'));
  for (let at = 0; at <= 20; at += 1) await open(`client ${at}`);
  expect(await whence('client 0')).toEqual([false]);
  expect(await whence('client 1')).toEqual([true]);
  expect(await whence('client 20')).toEqual([true]);
});
