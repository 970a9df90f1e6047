import { randomUUID } from 'node:crypto';
import { ENGLISH, type Language } from '@/catalogue';
import { SHIPPED_LANGUAGES } from '@/catalogue/shipped-languages';
import { addDays } from '@/core/units';
import { saveLanguage } from '@/server/details';
import { signLetter } from '@/server/follow/letter';
import { pauseMyself } from '@/server/patient/settings';
import type { Page } from 'puppeteer-core';
import { violations } from '../support/axe';
import { PHONE, clickAt, freshPage, goTo, press, says, textOf } from '../support/browser';
import { browserStage } from '../support/browser-stage';
import { device, makePatient, prescribe, today } from '../support/clinic';
import { SIZES, misfitsIn, playing } from '../support/player-fits';

/** The languages that ship, on the phone and at the desk. */
const stage = browserStage();

const languageOf = (tag: string): Language => {
  const found = SHIPPED_LANGUAGES.find((one) => one.tag === tag);
  if (!found) throw new Error(`no ${tag}`);
  return found;
};
const ARABIC = languageOf('ar');
const SPANISH = languageOf('es');

/** Somebody who reads a language, with a programme and an open phone. */
async function reader(name: string, language: Language, viewport = PHONE) {
  const id = await makePatient(stage.practitioner, name);
  await saveLanguage(stage.practitioner, { patientId: id, language: language.tag });
  await prescribe(stage.practitioner, id, [
    { exerciseId: 'tuck-seated', dose: 'x10 hold 5s gap 3s daily' },
    { exerciseId: 'side-neck-stretch', dose: '2x20s right daily' },
  ]);
  const here = await device(stage.practitioner, id);
  const phone = await freshPage(stage.browser, viewport);
  await goTo(phone, `${stage.server.origin}/open#${here.link}`);
  await says(phone, language.texts['today.begin']);
  return { id, here, phone };
}

const written = (page: Page) =>
  page.evaluate(() => [document.documentElement.lang, document.documentElement.dir]);

it('is written from right to left throughout in Arabic, drawings as they are', async () => {
  const { phone } = await reader('Quay Arabic', ARABIC);
  expect(await written(phone)).toEqual(['ar', 'rtl']);
  expect(await textOf(phone)).toContain(ARABIC.sayings['Tuck sitting tall']);
  // Nothing of the page goes beyond its edge, and no drawing is turned round.
  expect(
    await phone.evaluate(() => [
      document.documentElement.scrollWidth <= innerWidth,
      [...document.querySelectorAll('svg.figure, img')].every(
        (one) => getComputedStyle(one).transform === 'none',
      ),
    ]),
  ).toEqual([true, true]);
  for (const path of ['/today/progress', '/today/settings', '/today/pause', '/today/health']) {
    await goTo(phone, `${stage.server.origin}${path}`);
    expect([path, ...(await written(phone))]).toEqual([path, 'ar', 'rtl']);
    expect([path, await violations(phone, path)]).toEqual([path, []]);
  }
  expect(phone.problems).toEqual([]);
  await phone.close();
}, 300_000);

it('says in the patient’s own language that there is no connection', async () => {
  const { phone } = await reader('Quay Unreached', SPANISH);
  await goTo(phone, `${stage.server.origin}/today/pause`);
  await says(phone, SPANISH.texts['pause.reason']);
  await phone.setOfflineMode(true);
  await press(phone, SPANISH.texts['pause.save']);
  await says(phone, SPANISH.texts['saved.unreachable']);
  expect(await textOf(phone)).not.toContain('cannot be reached');
  await phone.setOfflineMode(false);
  await phone.close();
}, 300_000);

it('is chosen on the first screen by its own name, and the clinic’s pages stay as they are (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Quay First');
  await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-seated', dose: 'x10 daily' }]);
  const { link } = await device(stage.practitioner, id);
  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${link}`);
  await says(phone, 'Begin');
  // It stands there as soon as the page is awake, and has a name before anything else has come.
  await phone.waitForSelector('ul:has(button[lang])');
  expect(await phone.$eval('ul:has(button[lang])', (list) => list.getAttribute('aria-label'))).toBe(
    'Language',
  );
  await press(phone, 'العربية');
  await says(phone, ARABIC.texts['today.begin']);
  expect(await written(phone)).toEqual(['ar', 'rtl']);
  await press(phone, 'Español');
  await says(phone, SPANISH.texts['today.begin']);
  expect(await written(phone)).toEqual(['es', 'ltr']);
  await phone.close();
  const desk = await stage.open(`/patients/${id}/plan`);
  expect(await written(desk)).toEqual(['en', 'ltr']);
  await desk.close();
}, 300_000);

it('shows the clinic’s language beside doses, stop signs and emergency words until somebody stands for it', async () => {
  const { id, phone } = await reader('Quay Beside', SPANISH);
  const english = 'Do 10. Hold each for 5 seconds, rest 3 seconds.';
  const spanish = 'Haga 10. Mantenga cada una 5 segundos, descanse 3 segundos.';
  for (const words of [english, spanish]) await says(phone, words);
  expect(await phone.$$eval('span[lang=en]', (all) => all.map((one) => one.textContent))).toContain(
    english,
  );
  await press(phone, SPANISH.texts['today.begin']);
  await says(phone, SPANISH.texts['stop.emergencySigns']);
  const stop = await textOf(phone);
  expect(stop).toContain(ENGLISH.texts['stop.emergencySigns']);
  expect(stop).toContain(ENGLISH.texts['sign.symptoms']);
  expect(stop).toContain(SPANISH.texts['language.drafted']);

  const clinic = await stage.open(`/patients/${id}/plan`);
  await says(clinic, 'This patient reads Español.');
  await press(clinic, 'What the patient reads');
  await says(clinic, spanish);
  expect(await textOf(clinic)).toContain(SPANISH.sayings['Look straight ahead']);
  await press(clinic, 'Close');

  // A link needs a name under the words.
  await press(clinic, 'Patient’s link');
  await clinic.waitForSelector('[role=dialog] input[type=checkbox]');
  const isOff = () =>
    clinic.$eval('[role=dialog] button.bg-action', (one) => one.matches(':disabled'));
  expect(await isOff()).toBe(true);
  await clickAt(clinic, '[role=dialog] input[type=checkbox]');
  expect(await isOff()).toBe(false);
  await press(clinic, 'Make a new link');
  await clinic.waitForSelector('[data-testid=patient-link]');
  await clinic.close();
  await phone.close();
}, 300_000);

it('prints a handout in Arabic from the page, and refuses a PDF that could misplace a dot (long)', async () => {
  const { id, phone } = await reader('Quay Handout', ARABIC);
  await phone.close();
  const desk = await stage.open(`/patients/${id}/handout`);
  await says(desk, ARABIC.texts['handout.week']);
  expect(
    await desk.$eval('article.handout', (one) => [
      one.getAttribute('lang'),
      one.getAttribute('dir'),
    ]),
  ).toEqual(['ar', 'rtl']);
  expect(await textOf(desk)).toContain('written from right to left');
  expect(await desk.$('::-p-xpath(//button[normalize-space(.)="PDF"])')).toBeNull();
  const asked = await desk.evaluate(async (patientId) => {
    const order = { patientId, format: 'pdf', paper: 'a4', large: false, link: null };
    const answer = await fetch('/api/v1/handouts', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(order),
    });
    return [answer.status, ((await answer.json()) as { say: string }).say];
  }, id);
  expect(asked).toEqual([409, 'This language is printed from the page, not as a PDF.']);
  // The letters are joined by the font that ships: Chromium's own shaping of what stands on the page.
  expect(
    await desk.evaluate(() => document.fonts.check('16px "Noto Sans Arabic Variable"', 'تمرين')),
  ).toBe(true);
  expect(desk.problems).toEqual([]);
  await desk.close();
}, 300_000);

it.each(SHIPPED_LANGUAGES.map((one): [string, Language] => [one.tag, one]))(
  'fits the player’s words of %s into the smallest screens in the largest text (long)',
  async (tag, language) => {
    const phone = await playing(stage, `Quay Fits ${tag}`, language);
    // While it runs there are five buttons beside each other.
    expect(await misfitsIn(phone, ['normal', 'larger'], SIZES)).toEqual([]);
    await press(phone, language.texts['player.pause']);
    expect(await misfitsIn(phone, ['normal', 'larger'], SIZES)).toEqual([]);
    await phone.close();
  },
  300_000,
);

it('stays silent, with a sentence, where the phone has no voice for the language (long)', async () => {
  const { phone } = await reader('Quay Voice', ARABIC);
  await phone.evaluateOnNewDocument(() => {
    Object.defineProperty(window.speechSynthesis, 'getVoices', {
      value: () => [{ lang: 'en-GB', default: true, name: 'English' }],
    });
  });
  await goTo(phone, `${stage.server.origin}/today/settings`);
  expect(await textOf(phone)).not.toContain(ARABIC.texts['language.noVoice']);
  await clickAt(phone, `::-p-xpath(//label[contains(., "${ARABIC.texts['player.voice']}")]/input)`);
  await says(phone, ARABIC.texts['language.noVoice']);
  expect(phone.problems).toEqual([]);
  await phone.close();
}, 300_000);

it('shows the patient’s letter in Arabic beside the clinic’s, to be printed from the page (long)', async () => {
  const { id, phone } = await reader('Quay Letter', ARABIC);
  await phone.close();
  const letterId = randomUUID();
  await signLetter(stage.practitioner, {
    id: letterId,
    patientId: id,
    kind: 'review',
    words: '',
    forReferrer: false,
  });
  const desk = await stage.open(`/patients/${id}/review/${letterId}`);
  await says(desk, ARABIC.texts['letter.goesOn']);
  expect(
    await desk.$$eval('[data-letter]', (all) =>
      all.map((one) => [one.getAttribute('lang'), one.getAttribute('dir')]),
    ),
  ).toEqual([
    ['ar', 'rtl'],
    ['en', 'ltr'],
  ]);
  const isOff = () =>
    desk.$eval('::-p-xpath(//button[.="PDF, A4"])', (one) => one.matches(':disabled'));
  expect(await isOff()).toBe(true);
  await desk.select('select:has(option[value=clinic])', 'clinic');
  expect(await isOff()).toBe(false);
  expect(await violations(desk, 'letter')).toEqual([]);
  expect(desk.problems).toEqual([]);
  await desk.close();
}, 300_000);

it('keeps a telephone number in its order where it stands alone on a page from right to left', async () => {
  const { here, phone } = await reader('Quay Number', ARABIC);
  await pauseMyself(here, {
    id: randomUUID(),
    from: today(),
    to: addDays(today(), 3),
    reason: 'ill',
  });
  await goTo(phone, `${stage.server.origin}/today`);
  await says(phone, ARABIC.texts['paused.you']);
  // The plus stands left of the first digit, as in every number that is dialled.
  const seen = await phone.$$eval('a[href^="tel:"]', (links) =>
    links.map((link) => {
      // A clinic's name in Arabic, which turns its line round.
      const name = link.parentElement?.firstChild;
      if (name && name !== link) name.textContent = 'عيادة الميناء';
      const text = link.firstChild;
      const from = text?.textContent?.indexOf('+') ?? -1;
      if (!text || from < 0) return 'no number';
      const leftOf = (at: number) => {
        const range = document.createRange();
        range.setStart(text, at);
        range.setEnd(text, at + 1);
        return range.getBoundingClientRect().left;
      };
      return leftOf(from) < leftOf(from + 1) ? 'before' : 'behind';
    }),
  );
  expect(new Set(seen)).toEqual(new Set(['before']));
  await phone.close();
}, 300_000);
