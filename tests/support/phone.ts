import type { Page } from 'puppeteer-core';
import { PHONE, freshPage, goTo, press, says, textOf, twiceAsFast } from './browser';
import { device, makePatient, prescribe } from './clinic';
import { repsTold, toldToday, untilToldExactly } from './record';
import { type BrowserStage, browserStage } from './browser-stage';

/** A programme that is played in half a minute. */
export const LINES = [
  { exerciseId: 'neck-warm-up', dose: '4x2s gap 2s' },
  { exerciseId: 'sciatic-slider', dose: 'x2 move 2s' },
];

/** Waits until the worker has kept the page and the player's files. */
async function kept(phone: Page): Promise<void> {
  await phone.waitForFunction(
    async () => {
      const cache = await caches.open('dry-lantern-1');
      const names = (await cache.keys()).map(({ url }) => new URL(url).pathname);
      // Each is kept by itself, in no order.
      const all = ['/today', '/today/offline'].every((page) => names.includes(page));
      return all && names.length > 7;
    },
    { polling: 200 },
  );
}

async function reachable(origin: string): Promise<boolean> {
  return fetch(`${origin}/sign-in`).then(
    () => true,
    () => false,
  );
}

/**
 * A clinic and phones of its patients, played at twice the speed.
 *
 * @param own a server of the file's own, which it may stop: it runs again after each test
 */
export function phoneStage({ own = false } = {}) {
  const stage: BrowserStage = own ? browserStage({}) : browserStage();

  afterEach(async () => {
    // A forgotten page goes on playing and slows the next.
    for (const context of stage.browser.browserContexts())
      if (context !== stage.browser.defaultBrowserContext()) await context.close();
    if (own && !(await reachable(stage.server.origin))) await stage.server.start();
  });

  async function linked(lines: typeof LINES) {
    const patientId = await makePatient(stage.practitioner, 'Linnet Marlow');
    await prescribe(stage.practitioner, patientId, lines);
    const { link } = await device(stage.practitioner, patientId);
    const phone = await freshPage(stage.browser, PHONE);
    await twiceAsFast(phone);
    return { phone, patientId, link };
  }

  return {
    stage,
    /** A patient's phone that has opened its link once and has everything it needs. */
    phoneWith: async (lines = LINES) => {
      const { phone, patientId, link } = await linked(lines);
      const { origin } = stage.server;
      await goTo(phone, `${origin}/open#${link}`);
      await phone.waitForFunction(() => location.pathname === '/today');
      await says(phone, 'Everything you did is at harbour.');
      await kept(phone);
      return { phone, patientId, origin };
    },
    /** A patient with a short programme, at the running player on their phone. */
    atThePlayer: async (prepare?: (page: Page) => Promise<void>) => {
      const { phone, patientId, link } = await linked(LINES);
      await prepare?.(phone);
      await goTo(phone, `${stage.server.origin}/open#${link}`);
      await says(phone, 'Begin');
      await press(phone, 'Begin');
      await press(phone, 'I understand');
      await press(phone, 'Start');
      return { phone, patientId };
    },
    told: (patientId: string) => toldToday(stage.practitioner.clinicId, patientId),
    repsOf: async (patientId: string) =>
      repsTold(await toldToday(stage.practitioner.clinicId, patientId)),
    untilTold: (patientId: string, reps: number) =>
      untilToldExactly(stage.practitioner.clinicId, patientId, reps),
  };
}

/**
 * Waits until a session has played as far as the phone says this. Where the machine stood still, the player
 * cannot know that it was no locked phone: it waits to be told to go on, as somebody would tell it.
 */
export async function playsTo(phone: Page, words: string): Promise<void> {
  const until = Date.now() + Number(process.env.SAYS_MS ?? 240_000);
  for (;;) {
    const text = await textOf(phone);
    if (text.includes(words)) return;
    if (text.includes('The screen was off, so the count stood still.'))
      await (await phone.$('::-p-xpath(//button[normalize-space(.)="Go on"])'))?.click();
    if (Date.now() > until) throw new Error(`it never plays to “${words}”, but:\n${text}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/** Plays to the end and leaves. */
export async function finish(phone: Page): Promise<void> {
  await playsTo(phone, 'Done. What you did is saved.');
  await press(phone, 'Leave without telling');
}
