import { type AddressInfo, type Socket, connect, createServer } from 'node:net';
import type { Page } from 'puppeteer-core';
import { PHONE, freshPage, goTo, press, says, textOf } from '../support/browser';
import { device, makePatient, prescribe } from '../support/clinic';
import { browserStage } from '../support/browser-stage';

/** A visit by phone: the patient's phone in step with the clinician's run sheet. */
const stage = browserStage();

const LINES = [
  { exerciseId: 'tuck-lying', dose: '10x10s gap 5s 1/day daily until review' },
  { exerciseId: 'wall-press', dose: '3x30s rpe 3-5 1/day daily until review' },
];

/** A line to the server that can be cut: what is open ends, and nothing new is let through. */
async function line(port: number) {
  const open = new Set<Socket>();
  let isCut = false;
  const server = createServer((here) => {
    const there = connect(port);
    for (const one of [here, there]) {
      open.add(one);
      one.on('error', () => one.destroy());
      one.on('close', () => {
        open.delete(one);
        here.destroy();
        there.destroy();
      });
    }
    if (isCut) here.destroy();
    else here.pipe(there).pipe(here);
  });
  await new Promise<void>((resolve) => server.listen(0, resolve));
  const cut = (now: boolean) => {
    isCut = now;
    if (now) for (const one of open) one.destroy();
  };
  const { port: own } = server.address() as AddressInfo;
  lines.push(() => (cut(true), server.close()));
  return { origin: `http://localhost:${own}`, cut };
}
const lines: (() => void)[] = [];
afterAll(() => lines.forEach((end) => end()));

async function together(name: string) {
  const patientId = await makePatient(stage.practitioner, name);
  await prescribe(stage.practitioner, patientId, LINES);
  const { link } = await device(stage.practitioner, patientId);
  const phone = await freshPage(stage.browser, PHONE);
  const { origin, cut } = await line(Number(new URL(stage.server.origin).port));
  await goTo(phone, `${origin}/open#${link}`);
  await says(phone, 'Follow along with my clinic');
  // A slow line: a second there and back, on both sides.
  await phone.emulateNetworkConditions({ latency: 1000, download: -1, upload: -1 });
  await goTo(phone, `${origin}/today/together`);
  await says(phone, 'Waiting for your clinic.');
  const desk = await stage.open(`/patients/${patientId}/teach`);
  await desk.emulateNetworkConditions({ latency: 1000, download: -1, upload: -1 });
  return { phone, desk, origin, cut };
}

/** What a screen shows: the word, and the seconds left of it. */
const shownOn = (page: Page) =>
  page.evaluate(() => {
    const word = document.querySelector('[data-testid=now]')?.textContent ?? '';
    const clock = document.querySelector('[data-testid=left]')?.textContent ?? '';
    const [minutes = '0', seconds = '0'] = clock.split(':');
    return { word, left: Number(minutes) * 60 + Number(seconds) };
  });

const sameWord = (phone: Page, word: string) =>
  phone.waitForFunction(
    (wanted) => document.querySelector('[data-testid=now]')?.textContent === wanted,
    { polling: 50 },
    word,
  );

it('shows drawing and count in step over a line that is a second slow, and ends cleanly (long)', async () => {
  const { phone, desk, origin } = await together('Linnet Marlow');
  await press(desk, 'Show it on the patient’s phone');
  await says(desk, 'The phone shows what you show.');
  await says(phone, 'Tuck lying down');
  await says(phone, 'Your clinic has paused the count.');
  await press(desk, 'Count it');
  await sameWord(phone, 'Hold');
  // Both count on by themselves: at one moment they show the same second, or its neighbour.
  for (let look = 0; look < 5; look += 1) {
    const [on, at] = await Promise.all([shownOn(phone), shownOn(desk)]);
    if (on.word === 'Hold' && at.word === 'Hold')
      expect(Math.abs(on.left - at.left)).toBeLessThan(2);
    await phone.waitForFunction(
      (was) => !document.querySelector('[data-testid=left]')?.textContent?.endsWith(was),
      { polling: 50 },
      String(on.left).padStart(2, '0'),
    );
  }
  await press(desk, 'Pause the count');
  await says(phone, 'Your clinic has paused the count.');
  const [stopped, there] = await Promise.all([shownOn(phone), shownOn(desk)]);
  expect(stopped.left).toBe(there.left);
  // Another exercise: the phone goes with it.
  await press(desk, 'Skip to the next exercise');
  await says(phone, 'Wall');
  await press(desk, 'To the end');
  await says(phone, 'Your clinic is about to show you the next exercise.');
  await press(desk, 'End on the phone');
  await says(phone, 'Your clinic has ended this.');
  await says(desk, 'Show it on the patient’s phone');
  // Nothing of it counts as done.
  await phone.emulateNetworkConditions(null);
  await goTo(phone, `${origin}/today`);
  expect(await textOf(phone)).not.toContain('– done');
  expect(phone.problems).toEqual([]);
  expect(desk.problems).toEqual([]);
});

it('is found again by a page that was loaded anew, and ends when the desk is left by a link (long)', async () => {
  const { phone, desk, cut } = await together('Wren Tarbuck');
  await press(desk, 'Show it on the patient’s phone');
  await says(desk, 'The phone shows what you show.');
  await desk.reload();
  await says(desk, 'The phone still shows what this page showed.');
  await press(desk, 'Go on');
  await says(desk, 'The phone shows what you show.');
  await press(desk, 'Count it');
  await sameWord(phone, 'Hold');
  // The line breaks: the phone says so, and finds its way back by itself.
  cut(true);
  await says(phone, 'The connection is gone for a moment.');
  cut(false);
  await phone.waitForFunction(
    () => !document.body.innerText.includes('The connection is gone for a moment.'),
    { polling: 100 },
  );
  await (await desk.waitForSelector('nav a[href$="/plan"]'))?.click();
  await says(phone, 'Your clinic has ended this.');
});
