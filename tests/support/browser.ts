import type { Browser, BrowserContext, HTTPResponse, KeyInput, Page } from 'puppeteer-core';
import { PASSWORD } from './clinic';

export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844, isMobile: true, hasTouch: true };

const opened: BrowserContext[] = [];

/**
 * Closes after each test what it opened: a page that nobody looks at any more still ticks, listens and draws.
 * What was opened for several tests stays.
 */
export function closePagesAfterEach(): void {
  let before = 0;
  beforeEach(() => {
    before = opened.length;
  });
  afterEach(() => closePages(before));
}

/** Closes what this file opened, and leaves the browser to the next one. */
export async function leaveBrowser(browser: Browser | undefined): Promise<void> {
  await closePages(0);
  // A process is there only of a browser that the file launched.
  await (browser?.process() ? browser.close() : browser?.disconnect());
}

async function closePages(from: number): Promise<void> {
  const left = opened.splice(from).filter((context) => !context.closed);
  await Promise.all(left.map((context) => context.close()));
}

/** A page in a browser context of its own, as another person's browser. Script errors fail the test. */
export async function freshPage(
  browser: Browser,
  viewport: typeof DESK | typeof PHONE,
): Promise<Page & { problems: string[] }> {
  const context = await browser.createBrowserContext();
  opened.push(context);
  const page = (await context.newPage()) as Page & { problems: string[] };
  await page.setViewport(viewport);
  // Drawings that move all the time would slow everything else on a small machine.
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  page.setDefaultTimeout(Number(process.env.SAYS_MS ?? 240_000));
  page.problems = [];
  page.on('pageerror', (error) => page.problems.push(String(error)));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
      page.problems.push(message.text());
  });
  return page;
}

/** The player's monotonic clock at twice its speed, so that a session takes half as long. */
export async function twiceAsFast(page: Page): Promise<void> {
  await page.evaluateOnNewDocument(() => {
    const real = performance.now.bind(performance);
    performance.now = () => real() * 2;
  });
}

/** True when the page went on to another one while it was looked at: that one is waited for. */
function wentOn(error: unknown): boolean {
  return /context was destroyed|detached|navigat|Cannot find context/i.test(String(error));
}

function failedUnlessWentOn(error: unknown): false {
  if (wentOn(error)) return false;
  throw error;
}

/** Waits until the page answers touches: its scripts have taken it over. */
export async function awake(page: Page): Promise<void> {
  const isAwake = () => {
    const root = document.querySelector('main') ?? document.body;
    return (
      document.readyState === 'complete' &&
      Object.keys(root).some((key) => key.startsWith('__reactFiber'))
    );
  };
  const until = Date.now() + Number(process.env.SAYS_MS ?? 240_000);
  while (!(await page.evaluate(isAwake).catch(failedUnlessWentOn))) {
    if (Date.now() > until) throw new Error('the page never answers touches');
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

/** Opens an address and waits until its page answers touches. */
export async function goTo(page: Page, url: string): Promise<HTTPResponse | null> {
  const response = await page.goto(url, { waitUntil: 'load' });
  await awake(page);
  return response;
}

/** Loads the page anew and waits until it answers touches. */
export async function reloaded(page: Page): Promise<void> {
  await page.reload({ waitUntil: 'load' });
  await awake(page);
}

export async function signInAs(page: Page, origin: string, email: string): Promise<void> {
  await goTo(page, `${origin}/sign-in`);
  await page.type('input[name=email]', email);
  await page.type('input[name=password]', PASSWORD);
  await Promise.all([
    page.waitForFunction(() => location.pathname !== '/sign-in'),
    page.keyboard.press('Enter'),
  ]);
  await page.waitForSelector('nav');
  await awake(page);
}

/** Puts a member's cookie into the page's browser: for tests that are not about signing in. */
export async function beMember(page: Page, origin: string, token: string): Promise<void> {
  await page.browserContext().setCookie({
    name: 'dl_member',
    value: token,
    domain: new URL(origin).hostname,
    path: '/',
    httpOnly: true,
  });
}

/** Presses a key with another one held. */
export async function chord(page: Page, held: 'Alt' | 'Control', key: KeyInput): Promise<void> {
  await page.keyboard.down(held);
  await page.keyboard.press(key);
  await page.keyboard.up(held);
}

/** Presses the first button or link that begins with these words, as soon as it can be seen. */
export async function press(page: Page, words: string): Promise<void> {
  const begins = `starts-with(normalize-space(.), ${quoted(words)})`;
  const selector = `::-p-xpath(//button[${begins}] | //a[${begins}])`;
  for (let tries = 1; ; tries += 1) {
    const element = await page
      .waitForSelector(selector, { visible: true })
      .catch(async (error: unknown) => {
        const where = `${new URL(page.url()).pathname}, which says:\n${await textOf(page)}`;
        throw new Error(`there is no “${words}” to press on ${where}`, { cause: error });
      });
    try {
      await element?.click();
      return;
    } catch (error) {
      // A page that wakes may put another one in its place before it is touched; then nothing was.
      if (tries === PRESSED_AGAIN || !/detached/.test(String(error))) throw error;
    }
  }
}

const PRESSED_AGAIN = 3;

/** Clicks what a selector finds, once it can be seen: what is opened comes when it is asked for. */
export async function clickAt(page: Page, selector: string): Promise<void> {
  const element = await page.waitForSelector(selector, { visible: true });
  await element?.click();
}

/** Narrows the morning list to a name, and waits until it stands so. */
export async function narrowTo(page: Page, name: string): Promise<void> {
  const field = await page.waitForSelector('main [role=search] input');
  await field?.evaluate((input) => (input.value = ''));
  await field?.type(name);
  await press(page, 'Find');
  await page.waitForFunction(() => location.search.includes('narrowed=1'));
}

/** Types into a field once it is there: dialogs come when they are asked for. */
export async function typeAt(page: Page, selector: string, text: string): Promise<void> {
  await page.waitForSelector(selector);
  await page.type(selector, text);
}

/** Types into the field with this label. */
export async function typeInto(page: Page, label: string, text: string): Promise<void> {
  const id = await page.$$eval(
    'label',
    (labels, wanted) => labels.find((one) => one.textContent === wanted)?.htmlFor ?? '',
    label,
  );
  await page.type(`[id="${id}"]`, text);
}

/** Waits until a picture has come and can be seen. */
export async function pictureShown(page: Page, selector: string): Promise<void> {
  await page.waitForFunction(
    (wanted) => {
      const image = document.querySelector<HTMLImageElement>(wanted);
      return image !== null && image.complete && image.naturalWidth > 0;
    },
    {},
    selector,
  );
}

/** Waits until the page says this; tells what it says instead when it never does. */
export async function says(
  page: Page,
  words: string,
  timeout = Number(process.env.SAYS_MS ?? 240_000),
): Promise<void> {
  const until = Date.now() + timeout;
  const saysIt = (text: string) => document.body?.innerText.includes(text) ?? false;
  // Asked again and again, rather than waited for inside the page: it may go on to another one.
  while (!(await page.evaluate(saysIt, words).catch(failedUnlessWentOn))) {
    if (Date.now() > until)
      throw new Error(`the page never says “${words}”, but:\n${await textOf(page)}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

export function textOf(page: Page): Promise<string> {
  return page.evaluate(() => document.body.innerText);
}

function quoted(words: string): string {
  return `"${words}"`;
}

/** Tells the patient's page that something hurts: which, how much, and beside what is usual. */
export async function reportTrouble(
  phone: Page,
  what: string,
  severity: number,
  compared: 'as usual' | 'new',
): Promise<void> {
  await press(phone, 'It hurts, or something is wrong');
  await press(phone, what);
  await phone.$eval(`input[name=severity][value="${severity}"]`, (input) => input.click());
  const nth = compared === 'as usual' ? 0 : 1;
  await phone.$$eval('input[name=compared]', (inputs, nth) => inputs[nth]?.click(), nth);
  await press(phone, 'Next');
}
