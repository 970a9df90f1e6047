import { ENGLISH } from '@/catalogue';
import { allSayings } from '@/catalogue/sayings';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { saveLanguage } from '@/server/details';
import { PHONE, awake, freshPage, goTo, press, says, textOf } from '../support/browser';
import { device, makePatient, prescribe } from '../support/clinic';
import { temporaryFolder } from '../support/server';
import { browserStage } from '../support/browser-stage';

/**
 * A second language is a file in a folder, and no code. The one used here is English in brackets, so
 * that a text that comes from anywhere else shows itself by having none.
 */
const BRACKETED: Readonly<Record<string, string>> = Object.fromEntries<string>([
  ...Object.entries(ENGLISH.texts).map(([key, text]): [string, string] => [key, `⟦${text}⟧`]),
  ...allSayings().map(({ text }): [string, string] => [text, `⟦${text}⟧`]),
]);

const folder = temporaryFolder('languages');
writeFileSync(join(folder, 'pt.json'), JSON.stringify(BRACKETED));
writeFileSync(join(folder, 'fr.json'), 'no table');
process.env.LANGUAGES_DIR = folder;
const stage = browserStage({ LANGUAGES_DIR: folder });
afterAll(() => {
  delete process.env.LANGUAGES_DIR;
  rmSync(folder, { recursive: true, force: true });
});

/** Words on the page outside brackets. */
function unbracketed(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const main = document.querySelector('main');
    // Parts that say they are in another language: the clinic's beside, and each language's own name.
    const others = [...(main?.querySelectorAll<HTMLElement>('[lang]') ?? [])].filter(
      ({ lang }) => lang !== document.documentElement.lang,
    );
    for (const one of others) one.style.display = 'none';
    const text = main?.innerText ?? '';
    for (const one of others) one.style.removeProperty('display');
    const left = text
      // Brackets may stand in brackets: the innermost go first.
      .replace(/⟦[^⟦⟧]*⟧/g, '')
      .replace(/⟦[^⟦⟧]*⟧/g, '')
      .replace(/⟦[^⟦⟧]*⟧/g, '')
      .replace(/⟦[^⟦⟧]*⟧/g, '')
      .replace(/⟦[^⟦⟧]*⟧/g, '');
    return [...new Set(left.match(/[A-Za-z]{2,}/g) ?? [])];
  });
}

async function choose(phone: Page, tag: string): Promise<void> {
  await goTo(phone, `${stage.server.origin}/today/settings`);
  await phone.select(`select:has(option[value="${tag}"])`, tag);
  await Promise.all([phone.waitForNavigation(), phone.click('button[type=submit]')]);
  await awake(phone);
}

/** What the clinic wrote, the patient's name, and days by the calendar of the language. */
function othersWords(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    const answer = (await (await fetch('/api/v1/patient/pack')).json()) as {
      value: { clinic: object; days: { dateText: string }[] };
    };
    const { clinic, days } = answer.value;
    return [JSON.stringify(clinic), ...days.map(({ dateText }) => dateText)];
  });
}

/** What a calendar of the language calls its days and months. */
const CALENDAR = Array.from({ length: 400 }, (_, day) =>
  new Intl.DateTimeFormat('pt', {
    weekday: day % 2 ? 'short' : 'long',
    day: 'numeric',
    month: day % 2 ? 'short' : 'long',
    timeZone: 'UTC',
  }).format(day * 86_400_000),
);

const wordsIn = (text: string) => text.match(/[A-Za-z]{2,}/g) ?? [];

describe('the patient’s language', () => {
  it('is chosen in the settings, and then every page speaks it (long)', async () => {
    const patientId = await makePatient(stage.practitioner, 'Q Z');
    await prescribe(stage.practitioner, patientId, [
      { exerciseId: 'neck-warm-up', dose: '3x4 gap 2s rest 20s 2/day' },
      { exerciseId: 'sciatic-slider', dose: 'x10 move 2s each side' },
    ]);
    const { link } = await device(stage.practitioner, patientId);
    const phone = await freshPage(stage.browser, PHONE);
    await goTo(phone, `${stage.server.origin}/open#${link}`);
    await says(phone, 'Begin');
    await choose(phone, 'pt');
    const others = new Set([...(await othersWords(phone)), ...CALENDAR].flatMap(wordsIn));
    const strange = async () => (await unbracketed(phone)).filter((word) => !others.has(word));

    // Each language is offered by its own name.
    expect((await strange()).sort()).toEqual(['Deutsch', 'English', 'Espa', 'ol']);
    expect(await phone.$eval('main', (main) => main.lang)).toBe('pt');
    for (const path of [
      '/today/progress',
      '/today/pause',
      '/today/together',
      '/today/health',
      '/today',
    ]) {
      await goTo(phone, `${stage.server.origin}${path}`);
      expect([path, await strange()]).toEqual([path, []]);
      expect([path, await phone.title()]).toEqual([path, expect.stringContaining('⟦')]);
    }
    expect(await textOf(phone)).toContain('⟦Do ⟦3⟧ sets of ⟦4⟧⟧');

    await press(phone, '⟦A short word about today⟧');
    await says(phone, '⟦Your worst pain today, 0 to 10⟧');
    expect(await strange()).toEqual([]);
    await goTo(phone, `${stage.server.origin}/today`);
    await press(phone, '⟦Begin⟧');
    await says(phone, '⟦Before your first session⟧');
    expect(await strange()).toEqual([]);
    await press(phone, '⟦I understand⟧');
    await press(phone, '⟦Start⟧');
    await says(phone, '⟦Exercise 1 of 2⟧');
    expect(await strange()).toEqual([]);
    await press(phone, '⟦It hurts, or something is wrong⟧');
    await press(phone, '⟦Headache⟧');
    await says(phone, '⟦Is it different from usual?⟧');
    expect(await strange()).toEqual([]);
    expect(phone.problems).toEqual([]);
    await choose(phone, 'en');
    await says(phone, 'Settings');
    await phone.close();
  }, 600_000);

  it('is what the browser asks for while the link is not open (long)', async () => {
    const phone = await freshPage(stage.browser, PHONE);
    await phone.setExtraHTTPHeaders({ 'Accept-Language': 'pt-BR,pt;q=0.9,en;q=0.8' });
    await goTo(phone, `${stage.server.origin}/today`);
    expect(await textOf(phone)).toContain('⟦Open your personal link⟧');
    expect(await unbracketed(phone)).toEqual([]);
    await phone.close();
  }, 300_000);

  it('is not offered from a file that is no table of texts, and the log says so (long)', async () => {
    expect(stage.server.log()).toContain('fr.json could not be read as a language');
    expect(stage.server.log()).not.toContain('pt.json');
  });
});

it('is that of every document the patient takes home (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Q Z');
  await saveLanguage(stage.practitioner, { patientId: id, language: 'pt' });
  await prescribe(stage.practitioner, id, [
    { exerciseId: 'wall-press', dose: '3x30s gap 60s rpe 3-5 2/day until review' },
    { exerciseId: 'sciatic-slider', dose: 'x10 move 2s each side every other day' },
  ]);
  const desk = await stage.open(`/patients/${id}/handout`);
  const said = await desk.$eval('article.handout', (sheet) => {
    // What the clinic's language says beside it is meant to be English.
    for (const one of sheet.querySelectorAll('[lang=en]')) one.remove();
    const names = [...sheet.querySelectorAll('[aria-label], [alt]')].flatMap((one) => [
      one.getAttribute('aria-label') ?? '',
      one.getAttribute('alt') ?? '',
    ]);
    return [sheet.textContent ?? '', ...names].join('\n');
  });
  let left = said;
  for (let depth = 0; depth < 8; depth += 1) left = left.replace(/⟦[^⟦⟧]*⟧/g, '');
  const clinic = await desk.$$eval('article.handout bdi, article.handout [dir=auto]', (all) =>
    all.map((one) => one.textContent ?? ''),
  );
  const known = new Set([...clinic, ...CALENDAR].flatMap(wordsIn));
  expect(wordsIn(left).filter((word) => !known.has(word))).toEqual([]);
  expect(said).toContain('⟦Then: ⟦');
  expect(desk.problems).toEqual([]);
  await desk.close();
}, 300_000);

it('is set by the clinic before the link is opened, so that the first screen is in it (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Dora Mistral');
  await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const desk = await stage.open(`/patients/${id}/record`);
  await desk.select('select:has(option[value="pt"])', 'pt');
  await says(desk, 'The language is set.');
  const here = await device(stage.practitioner, id);
  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${here.link}`);
  await says(phone, '⟦');
  await phone.waitForSelector('[lang=pt]');
  expect([...desk.problems, ...phone.problems]).toEqual([]);
});
