import type { Browser } from 'puppeteer-core';
import { launchShared } from './chromium';
import { startTestServer } from './server';
import { zoneOfRun } from './zone-of-run';

type Shared = { server: Awaited<ReturnType<typeof startTestServer>>; browsers: readonly Browser[] };

/** One server for every browser file that does not stop, starve or look into its own; a browser a worker. */
const running = globalThis as { dryLanternShared?: Shared };

export default async function start({ maxWorkers }: { maxWorkers: number }): Promise<void> {
  process.env.ZONE_OF_RUN ??= zoneOfRun(new Date());
  const [server, browsers] = await Promise.all([
    startTestServer({ PAGES_WHEN_ASKED: '' }),
    launchShared(maxWorkers),
  ]);
  running.dryLanternShared = { server, browsers };
  process.env.SHARED_SERVER_ORIGIN = server.origin;
  process.env.SHARED_SERVER_DATA = server.data;
}

/** Ends what the run shared. */
export async function end(): Promise<void> {
  const { server, browsers = [] } = running.dryLanternShared ?? {};
  await Promise.all([server?.close(), ...browsers.map((browser) => browser.close())]);
}
