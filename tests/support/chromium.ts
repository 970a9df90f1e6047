import { existsSync } from 'node:fs';
import puppeteer, { type Browser } from 'puppeteer-core';

// A real browser on a slow machine takes its time.
const PROTOCOL_MS = 600_000;

/** The one without a window of its own first: it leaves more of a small machine to the tests. */
const SHELL = '/usr/bin/chromium-headless-shell';
const WHOLE = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** @param whole the browser with everything a person's has: the light one knows no notifications and no sensors */
export function chromiumPath(whole = false): string {
  const places = whole ? WHOLE : [SHELL, ...WHOLE];
  const path = process.env.CHROMIUM ?? places.find((place) => existsSync(place));
  if (!path) throw new Error('no Chromium; `npm test` installs Debian’s');
  return path;
}

/** @param profile a folder that outlives the browser; without one nothing does */
export function launchBrowser(profile?: string, whole = false): Promise<Browser> {
  const path = chromiumPath(whole);
  return puppeteer.launch({
    ...(profile ? { userDataDir: profile } : {}),
    executablePath: path,
    headless: path === SHELL ? 'shell' : true,
    protocolTimeout: PROTOCOL_MS,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}

const endpointOf = (worker: string | number) => `SHARED_BROWSER_${worker}`;

/** A browser for each worker of a run, which its files use one after another. */
export async function launchShared(workers: number): Promise<readonly Browser[]> {
  const browsers = await Promise.all(Array.from({ length: workers }, () => launchBrowser()));
  for (const [at, browser] of browsers.entries())
    process.env[endpointOf(at + 1)] = browser.wsEndpoint();
  return browsers;
}

/** This worker's browser; one of its own where that has ended. */
export async function workersBrowser(): Promise<Browser> {
  const browserWSEndpoint = process.env[endpointOf(process.env.JEST_WORKER_ID ?? 1)];
  if (!browserWSEndpoint) return launchBrowser();
  return puppeteer
    .connect({ browserWSEndpoint, protocolTimeout: PROTOCOL_MS })
    .catch(() => launchBrowser());
}
