import type { Browser, Page } from 'puppeteer-core';
import { closeDatabase } from '@/db';
import {
  DESK,
  type PHONE,
  beMember,
  closePagesAfterEach,
  freshPage,
  goTo,
  leaveBrowser,
} from './browser';
import { launchBrowser, workersBrowser } from './chromium';
import { type TestServer, sharedServer, startTestServer } from './server';
import { type Stage, fill } from './stage';

export type BrowserStage = Stage & {
  server: TestServer;
  browser: Browser;
  /** A page of the practitioner's own browser, at this path. */
  open: (
    path: string,
    viewport?: typeof DESK | typeof PHONE,
  ) => Promise<Page & { problems: string[] }>;
};

/**
 * The built application, a browser, and a practitioner signed in.
 *
 * @param environment starts a server of the file's own with it, which the file may stop; without one
 *   the file shares the run's server
 */
export function browserStage(
  environment?: Record<string, string>,
  { whole = false } = {},
): BrowserStage {
  const stage = {
    async open(path, viewport = DESK) {
      const page = await freshPage(stage.browser, viewport);
      await beMember(page, stage.server.origin, stage.practitioner.token);
      await goTo(page, `${stage.server.origin}${path}`);
      return page;
    },
  } as BrowserStage;
  beforeAll(async () => {
    [stage.server, stage.browser] = await Promise.all([
      environment ? startTestServer(environment) : sharedServer(),
      whole ? launchBrowser(undefined, whole) : workersBrowser(),
    ]);
    await fill(stage, stage.server.data);
  }, 900_000);
  closePagesAfterEach();
  afterAll(async () => {
    closeDatabase();
    await leaveBrowser(stage.browser);
    await stage.server?.close();
  });
  return stage;
}
