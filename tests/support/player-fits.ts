import type { Page } from 'puppeteer-core';
import { ENGLISH, type Language } from '@/catalogue';
import { saveLanguage } from '@/server/details';
import { PHONE, awake, freshPage, goTo, press, says } from './browser';
import type { BrowserStage } from './browser-stage';
import { device, makePatient, prescribe } from './clinic';

/** The screens that the player has to fit into, in CSS pixels. */
export const SIZES: readonly (readonly [number, number])[] = [
  [390, 844],
  [390, 664],
  [320, 568],
  [844, 390],
  [568, 320],
];

/** What is wrong with the player's screen as it stands: what is out of sight, too small, cut, or under another. */
const misfits = (page: Page) =>
  page.evaluate(() => {
    const wanted: readonly (readonly [string, string])[] = [
      ['figure', '.player-figure svg'],
      ['name', '.player-head h1'],
      ['set', '.player-head p'],
      ['word', '[data-testid=now]'],
      ['count', '[data-testid=left]'],
      ['next', '.player-controls > p'],
      ['pause or go on', '.player-controls button:nth-of-type(3), .player-controls > button'],
      ['stop', '.player-controls .bg-stop'],
    ];
    const found = wanted.map(([name, selector]) => {
      const element = document.querySelector(selector);
      return { name, element, box: element?.getBoundingClientRect() };
    });
    const wrong: string[] = [];
    for (const { name, element, box } of found) {
      if (!element || !box || box.width === 0 || box.height === 0) {
        wrong.push(`${name} is not there`);
        continue;
      }
      const inside =
        box.left >= -1 &&
        box.top >= -1 &&
        box.right <= innerWidth + 1 &&
        box.bottom <= innerHeight + 1;
      if (!inside) wrong.push(`${name} is out of sight`);
      if (name !== 'name' && name !== 'next' && element.scrollWidth > element.clientWidth + 1)
        wrong.push(`${name} is cut`);
      const isTight =
        document.documentElement.dataset.text === 'larger' &&
        innerWidth > innerHeight &&
        innerHeight < 340;
      // Of a long name as much as a word is in sight.
      if (name === 'name' && box.width < 48)
        wrong.push(`the name is ${Math.round(box.width)} wide`);
      if (name === 'figure' && box.height < 96 && !isTight)
        wrong.push(`the figure is ${Math.round(box.height)} high`);
      if (name === 'stop' && box.height < 64) wrong.push(`stop is ${Math.round(box.height)} high`);
    }
    for (const [index, one] of found.entries())
      for (const other of found.slice(index + 1)) {
        const [a, b] = [one.box, other.box];
        if (!a || !b || one.element === other.element) continue;
        const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
        const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
        if (wide > 1 && high > 1) wrong.push(`${one.name} lies over ${other.name}`);
      }
    // A word of a button is never broken.
    for (const button of document.querySelectorAll('.player button')) {
      const walker = document.createTreeWalker(button, NodeFilter.SHOW_TEXT);
      for (let node = walker.nextNode(); node; node = walker.nextNode())
        for (const word of (node.textContent ?? '').matchAll(/\S+/g)) {
          const range = document.createRange();
          range.setStart(node, word.index);
          range.setEnd(node, word.index + word[0].length);
          if (range.getClientRects().length > 1) wrong.push(`“${word[0]}” is broken`);
        }
    }
    return wrong;
  });

/** Waits until the page is drawn in its new size: what hangs on the screen's height follows a frame later. */
const laidOut = (page: Page, width: number, height: number) =>
  page.evaluate(
    (wide, high) =>
      new Promise<void>((done) => {
        const look = () => {
          if (innerWidth !== wide || innerHeight !== high) requestAnimationFrame(look);
          else requestAnimationFrame(() => requestAnimationFrame(() => done()));
        };
        look();
      }),
    width,
    height,
  );

/** A busy machine lays out when it can; what is wrong for so long stays wrong. */
const SETTLED_MS = 5_000;

/** What stays wrong with the screen: nothing as soon as everything fits. */
async function settled(page: Page): Promise<string[]> {
  const until = Date.now() + SETTLED_MS;
  let wrong = await misfits(page);
  while (wrong.length > 0 && Date.now() < until) {
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(done)));
    wrong = await misfits(page);
  }
  return wrong;
}

/** The sizes of text a patient chooses from. */
export const TEXTS = ['normal', 'large', 'larger'] as const;

/** What is wrong on these screens in these sizes of text; nothing where everything fits. */
export async function misfitsIn(
  page: Page,
  texts: readonly (typeof TEXTS)[number][],
  sizes: typeof SIZES,
): Promise<string[]> {
  const wrong: string[] = [];
  for (const text of texts) {
    await page.evaluate((size) => {
      document.documentElement.dataset.text = size;
    }, text);
    for (const [width, height] of sizes) {
      await page.setViewport({ ...PHONE, width, height });
      await laidOut(page, width, height);
      for (const one of await settled(page)) wrong.push(`${text}, ${width}×${height}: ${one}`);
    }
  }
  await page.setViewport(PHONE);
  return wrong;
}

/** A phone on which a session of many kinds of segments has just begun. */
export async function playing(
  { practitioner, browser, server }: BrowserStage,
  name: string,
  language: Language = ENGLISH,
) {
  const id = await makePatient(practitioner, name);
  if (language.tag !== ENGLISH.tag)
    await saveLanguage(practitioner, { patientId: id, language: language.tag });
  await prescribe(practitioner, id, [
    // Sides, sets and rests; then directions; then another position.
    { exerciseId: 'side-neck-stretch', dose: '2x2s gap 2s both daily' },
    { exerciseId: 'six-way-hold', dose: '2x2s gap 1s in 6 directions 30% daily' },
    { exerciseId: 'tuck-lying', dose: 'x2 hold 2s gap 2s daily' },
  ]);
  const { link } = await device(practitioner, id);
  const phone = await freshPage(browser, PHONE);
  await goTo(phone, `${server.origin}/open#${link}`);
  await says(phone, language.texts['today.begin']);
  await awake(phone);
  for (const key of ['today.begin', 'first.understood', 'player.start'] as const)
    await press(phone, language.texts[key]);
  return phone;
}
