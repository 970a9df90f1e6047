import { randomUUID } from 'node:crypto';
import type { HTTPRequest, Page } from 'puppeteer-core';
import { sentVersion } from '@/core/programme';
import { addDays, dateInWords, daysBetween } from '@/core/units';
import { versionsOf } from '@/db';
import { setClock } from '@/server/clock';
import { decideProposal, sendAccepted } from '@/server/follow/decide';
import { proposalsOf, recordOf } from '@/server/follow/proposals';
import { patientOf } from '../support/stage';
import { PHONE, clickAt, freshPage, goTo, press, reloaded, says, textOf } from '../support/browser';
import { browserStage } from '../support/browser-stage';
import { DAY_MS, type Life, beginLife, liveOn } from '../support/life';
import { withoutParts } from '../support/cut-off';
import { today } from '../support/clinic';
import { eventually } from '../support/record';

/** Proposals over weeks, at the desk and on the phone. */
const stage = browserStage();

const linesOf = async ({ patientId }: Life) =>
  ((await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId) ?? [])
    .map(sentVersion)
    .map(({ lines }) => lines[0]?.text);

/** On the morning that this life has come to: accepts what stands first, and writes it from the first day it may begin. */
async function acceptFirst(life: Life): Promise<string> {
  const { patientId, start, days } = life;
  setClock(() => start + days * DAY_MS + 2 * 3_600_000);
  const view = await proposalsOf(await patientOf(stage, patientId));
  const proposal = view?.open[0];
  if (!view || !proposal) throw new Error('nothing is proposed');
  await decideProposal(stage.practitioner, {
    id: randomUUID(),
    patientId,
    key: proposal.key,
    version: view.version,
    decision: 'accepted',
    dose: null,
    reason: '',
  });
  await sendAccepted(stage.practitioner, {
    patientId,
    basedOn: view.version,
    effectiveFrom: view.earliest,
  });
  // Nothing is done between.
  life.days += daysBetween(today(), view.earliest);
  setClock(null);
  return `${proposal.move} ${proposal.to}`;
}

it('takes a patient who flares a step back, gives it back by a smaller step, and grows past it (long)', async () => {
  const life = await beginLife(stage.practitioner, [{ dose: 'x2 hold 5s gap 3s daily' }], {
    name: 'Sanderling Orme',
    daysAgo: 20,
  });
  const well = [{}, {}, {}];
  const steps: string[] = [];
  await liveOn(life, well);
  steps.push(await acceptFirst(life));
  await liveOn(life, [{ pain: 7 }]);
  steps.push(await acceptFirst(life));
  for (let time = 0; time < 2; time += 1) {
    await liveOn(life, well);
    steps.push(await acceptFirst(life));
  }
  expect(steps).toEqual([
    'advance hold x2 hold 10s gap 3s daily',
    'step back x2 hold 5s gap 3s daily',
    'advance hold x2 hold 7s gap 3s daily',
    'advance hold x2 hold 10s gap 3s daily',
  ]);
  // Held for the ten seconds that were too much once: the next step of the stairs.
  await liveOn(life, well);
  const page = await stage.open(`/patients/${life.patientId}/follow`);
  await says(page, '3 good sessions in a row: Tuck and lift');
  await clickAt(page, '::-p-xpath(//summary[contains(., "Decided so far")])');
  await says(page, 'accepted by');
  const text = await textOf(page);
  expect(text).toContain('a smaller step this time');
  expect(text).toContain('a smaller step has gone well since');
  await press(page, 'Accept');
  await says(page, 'Accepted, waiting for version 6');
  await press(page, 'Write version 6');
  await eventually(async () => expect((await linesOf(life))[5]).toBe('2x10s gap 30s daily'));
  expect(page.problems).toEqual([]);
});

it('brings a declined danger back with the next one, and holds what waits until it is decided (long)', async () => {
  const life = await beginLife(stage.practitioner, [{}], { name: 'Dotterel Fane' });
  await liveOn(life, [{}, { pain: 8 }]);
  const page = await stage.open(`/patients/${life.patientId}/follow`);
  await says(page, 'Pain 8 of 10');
  await clickAt(page, 'button[aria-label="Decline: Tuck and lighten"]');
  await page.type('input[name=reason]', 'slept on a sofa');
  await press(page, 'Decline it');
  await says(page, 'Nothing to decide');
  // Three good days later it grows, and that is accepted; then it hurts again.
  await liveOn(life, [{}, {}, {}]);
  await reloaded(page);
  await press(page, 'Accept');
  await says(page, 'Accepted, waiting for version 2');
  await liveOn(life, [{ pain: 9 }]);
  await reloaded(page);
  await says(page, 'Pain 9 of 10');
  await says(page, 'Something has gone wrong since with Tuck and lighten');
  expect(
    await page.$$eval('button', (all) =>
      all.filter((one) => one.textContent.startsWith('Write version')).map((one) => one.disabled),
    ),
  ).toEqual([true]);
  await press(page, 'Accept');
  await page.waitForFunction(
    () =>
      [...document.querySelectorAll('button')].find((one) =>
        one.textContent.startsWith('Write version'),
      )?.disabled === false,
  );
  await press(page, 'Write version 2');
  await eventually(async () => expect((await linesOf(life))[1]).toBe('x2 hold 1s gap 3s daily'));
  expect(page.problems).toEqual([]);
});

it('offers a longer step beside the bounded one, and takes what is chosen (long)', async () => {
  const life = await beginLife(
    stage.practitioner,
    [{ exerciseId: 'prone-neck-hold', dose: '3x30s gap 60s daily' }],
    { name: 'Whimbrel Stoke' },
  );
  await liveOn(life, [{}, {}, {}]);
  const page = await stage.open(`/patients/${life.patientId}/follow`);
  await says(page, '3x30s → 3x45s');
  await press(page, 'Take this instead');
  await says(page, 'Accepted, waiting for version 2');
  await says(page, '3x30s → 3x60s');
  await press(page, 'Write version 2');
  await eventually(async () => expect((await linesOf(life))[1]).toBe('3x60s gap 60s daily'));
  expect(page.problems).toEqual([]);
});

describe('the morning after', () => {
  /** A patient's phone, a day after the only session. */
  async function phoneOf(
    name: string,
    daysAgo = 1,
    question = 'Any trouble since your exercises of yesterday?',
  ) {
    const life = await beginLife(stage.practitioner, [{}], { name, daysAgo });
    await liveOn(life, [{}], 'untold');
    const phone = await freshPage(stage.browser, PHONE);
    await goTo(phone, `${stage.server.origin}/open#${life.here.link}`);
    await says(phone, question);
    return { life, phone };
  }
  /** One touch, whether the page is awake or not. */
  async function answered(phone: Page, word: string, then: string) {
    await press(phone, word);
    await says(phone, then);
  }
  const soreness = async ({ patientId }: Life) => {
    const record = await recordOf(await patientOf(stage, patientId));
    return record.reports.get(today())?.soreness ?? null;
  };

  it('is answered by one touch, with nothing chosen beforehand (long)', async () => {
    const { life, phone } = await phoneOf('Pipit Arran');
    expect(await phone.$$eval('input:checked', (all) => all.length)).toBe(0);
    expect(await soreness(life)).toBeNull();
    await answered(phone, 'None', 'Saved. Thank you.');
    await eventually(async () => expect(await soreness(life)).toBe('none'));
    await reloaded(phone);
    await says(phone, 'Begin');
    expect(await textOf(phone)).not.toContain('Any trouble');
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);

  it('names an earlier day in words (long)', async () => {
    const day = dateInWords(addDays(today(), -2), 'en');
    const { phone } = await phoneOf(
      'Linnet Fell',
      2,
      `Any trouble since your exercises of ${day}?`,
    );
    expect(await textOf(phone)).not.toMatch(/\d{4}-\d\d-\d\d/);
    await phone.close();
  }, 300_000);

  it('is answered by a touch before the page is awake, and by no address (long)', async () => {
    const { life, phone } = await phoneOf('Dunnock Sorrel');
    // An address asks the question and answers nothing; nothing lies over it.
    await goTo(phone, `${stage.server.origin}/today#open-morning`);
    await phone.waitForFunction(() => location.hash === '');
    await eventually(async () =>
      expect(await phone.$$eval('.opening:target', (all) => all.length)).toBe(0),
    );
    expect(await soreness(life)).toBeNull();
    // The same person on a phone that has kept nothing, whose scripts come late: the touch falls on the
    // bare document.
    const slow = await freshPage(stage.browser, PHONE);
    await slow.browserContext().setCookie(...(await phone.browserContext().cookies()));
    const held: HTTPRequest[] = [];
    let late = true;
    await slow.setRequestInterception(true);
    slow.on('request', (request) => {
      if (late && request.resourceType() === 'script') held.push(request);
      else void request.continue();
    });
    await slow.goto(`${stage.server.origin}/today`, { waitUntil: 'domcontentloaded' });
    await press(slow, 'None');
    await says(slow, 'It opens as soon as this phone is ready');
    late = false;
    await Promise.all(held.map((request) => request.continue()));
    await says(slow, 'Saved. Thank you.');
    await eventually(async () => expect(await soreness(life)).toBe('none'));
    await slow.close();
    await phone.close();
  }, 300_000);

  it('is not lost where the part of the page that keeps it was cut off (long)', async () => {
    const { life, phone } = await phoneOf('Redwing Holm');
    const cookies = await phone.browserContext().cookies();
    const cut = await freshPage(stage.browser, PHONE);
    await cut.browserContext().setCookie(...cookies);
    const through = await withoutParts(
      cut,
      `${stage.server.origin}/today`,
      cookies.map(({ name, value }) => `${name}=${value}`).join('; '),
    );
    await press(cut, 'None');
    await says(cut, '…');
    expect(await textOf(cut)).not.toContain('Saved. Thank you.');
    expect(await soreness(life)).toBeNull();
    through();
    await says(cut, 'Saved. Thank you.');
    await eventually(async () => expect(await soreness(life)).toBe('none'));
    await cut.close();
    await phone.close();
  }, 300_000);

  it('counts “some” at once, and asks how it is now (long)', async () => {
    const { life, phone } = await phoneOf('Siskin Tarn');
    await answered(phone, 'Some', 'How is it now?');
    await eventually(async () => expect(await soreness(life)).toBe('some'));
    await press(phone, 'Still sore');
    await says(phone, 'Saved. Thank you.');
    await eventually(async () => expect(await soreness(life)).toBe('still sore'));
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);
});
