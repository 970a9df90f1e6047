import { inTime } from './in-time';

/** The worker that lets this page open without a signal, and the list of files it is told to keep. */
const WORKER = '/api/v1/patient/worker';
const SCOPE = '/today';
/** The page that stands in the place of one that needs a signal. */
export const INSTEAD = '/today/offline';

/** A pause of the page: what is not needed now waits until nothing else does. */
function idle(): Promise<void> {
  return new Promise((resolve) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => resolve(), { timeout: 5000 });
    else setTimeout(resolve, 500);
  });
}

/** Files this page has loaded: scripts, styles and fonts, by what the browser itself says. */
function loadedFiles(): string[] {
  const own = performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter((name) => name.startsWith(`${location.origin}/_next/static/`));
  return [...new Set(own)];
}

/**
 * Lets the page be opened without a signal: the worker keeps the page itself and every file it has
 * loaded. Does nothing where the browser has no workers (some private windows, plain http).
 *
 * @param parts the pieces that are loaded later, so that they are there too
 * @param pictures addresses of the drawings of the days to come
 */
export async function keepForOffline(
  parts: readonly (() => Promise<unknown>)[],
  pictures: readonly string[],
): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  try {
    const registration = await navigator.serviceWorker.register(WORKER, { scope: SCOPE });
    for (const load of parts) {
      // One at a time, so that a slow phone stays at the finger's command.
      await idle();
      await load().catch(() => undefined);
    }
    await document.fonts.ready;
    const worker =
      registration.active ?? registration.waiting ?? registration.installing ?? undefined;
    worker?.postMessage({ keep: [SCOPE, INSTEAD, ...loadedFiles(), ...pictures] });
  } catch {
    // Without it everything works while there is a signal.
  }
}

/** So long a page waits for the worker's word on where it came from. */
const WHENCE_MS = 500;

/**
 * Whether the network answered with this page, so that the clinic made it just now. The worker alone knows:
 * it keeps the page anew at each visit, so that what it keeps may be the newest this phone has, and may be
 * days old when it is shown. Without its word, no.
 */
export async function isFromNetwork(): Promise<boolean> {
  const [navigation] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  // No worker stood between.
  if (navigation?.workerStart === 0) return true;
  const worker = navigator.serviceWorker?.controller;
  if (!worker) return false;
  const { port1, port2 } = new MessageChannel();
  const word = new Promise<boolean>((resolve) => {
    port1.onmessage = ({ data }) => resolve(data === true);
  });
  worker.postMessage({ whence: true }, [port2]);
  const came = await inTime(word, WHENCE_MS);
  port1.close();
  return came ?? false;
}

/** Asks the browser not to clear what is kept here; it may refuse. */
export async function askToPersist(): Promise<void> {
  try {
    await navigator.storage?.persist?.();
  } catch {
    // Then it may be cleared when the phone runs full, and the page says what is saved where.
  }
}
