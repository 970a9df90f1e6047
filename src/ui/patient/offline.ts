/** The worker that lets this page open without a signal, and the list of files it is told to keep. */
const WORKER = '/api/v1/patient/worker';
const SCOPE = '/today';

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
 */
export async function keepForOffline(parts: readonly (() => Promise<unknown>)[]): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  try {
    const registration = await navigator.serviceWorker.register(WORKER, { scope: SCOPE });
    await Promise.all(parts.map((load) => load().catch(() => undefined)));
    await document.fonts.ready;
    const worker =
      registration.active ?? registration.waiting ?? registration.installing ?? undefined;
    worker?.postMessage({ keep: [SCOPE, ...loadedFiles()] });
  } catch {
    // Without it everything works while there is a signal.
  }
}

/** Asks the browser not to clear what is kept here; it may refuse. */
export async function askToPersist(): Promise<void> {
  try {
    await navigator.storage?.persist?.();
  } catch {
    // Then it may be cleared when the phone runs full, and the page says what is saved where.
  }
}
