import type { Page } from 'puppeteer-core';
import { ENGLISH } from '@/catalogue';
import { versionsOf } from '@/db';
import { revokeLink } from '@/server/links';
import { device } from '../support/clinic';
import { PHONE, goTo, press, reportTrouble, says, textOf, twiceAsFast } from '../support/browser';
import { phoneStage } from '../support/phone';
import { eventOf, eventually, toldToday } from '../support/record';

/** The worker's word on where the page that is shown came from. */
const cameByNetwork = (phone: Page) =>
  phone.evaluate(
    () =>
      new Promise((resolve) => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = ({ data }) => resolve(data);
        navigator.serviceWorker.controller?.postMessage({ whence: true }, [port2]);
      }),
  );

const { stage, phoneWith, repsOf, untilTold } = phoneStage({ own: true });

it('opens, plays and keeps everything with the clinic’s server gone, across a killed tab (long)', async () => {
  const { phone, patientId, origin } = await phoneWith();
  await stage.server.stop('SIGKILL');
  await phone.reload();
  await says(phone, 'Neck warm-up');
  // A page that needs a signal says so itself, with whom to call, and leads back.
  for (const path of ['progress', 'settings', 'pause', 'photo', 'together', 'health']) {
    await phone.goto(`${origin}/today/${path}`);
    await says(phone, 'No signal just now');
  }
  expect(await phone.$eval('a[href^="tel:"]', (one) => one.textContent)).toContain('Call harbour');
  await press(phone, 'Back to today');
  await says(phone, 'Neck warm-up');
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await says(phone, '3 of 4');
  expect(await phone.$eval('svg.figure g', (shapes) => shapes.innerHTML.length)).toBeGreaterThan(
    500,
  );
  // The tab is killed in the middle; another one is opened, still without a server.
  const context = phone.browserContext();
  await phone.close();
  const again = await context.newPage();
  await twiceAsFast(again);
  await again.setViewport(PHONE);
  await again.goto(`${origin}/today`);
  await says(again, 'Go on where you left off');
  await press(again, 'Go on where you left off');
  await press(again, 'Start');
  await says(again, 'Done. What you did is saved.');
  await press(again, 'Leave without telling');
  await says(again, 'Saved on this phone. It goes to your clinic when there is a signal.');
  expect(await repsOf(patientId)).toHaveLength(0);
  await stage.server.start();
  await again.reload();
  await untilTold(patientId, 6);
  expect((await repsOf(patientId)).map(({ rep, moved }) => [rep, moved])).toEqual([
    [1, 2],
    [2, 2],
    [3, 2],
    [4, 2],
    [1, 2],
    [2, 2],
  ]);
  await says(again, 'Everything you did is at harbour.');
});

it('advises by the rules without a server, pauses at once, and tells the clinic with the first signal (long)', async () => {
  const { phone, patientId } = await phoneWith();
  await stage.server.stop('SIGKILL');
  await phone.reload();
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await reportTrouble(phone, 'Ordinary muscle soreness', 2, 'as usual');
  await says(phone, 'You can go on, easier');
  await press(phone, 'Go on, easier');
  await reportTrouble(phone, 'Something with my sight', 1, 'new');
  await says(phone, 'Stop now. Get help');
  expect(await textOf(phone)).toContain('Call 000.');
  await stage.server.start();
  await phone.reload();
  await says(phone, 'Your programme is paused');
  await eventually(async () => {
    const told = await toldToday(stage.practitioner.clinicId, patientId);
    expect(told.filter(({ type }) => type === 'report')).toHaveLength(2);
  });
});

it('goes by the phone’s own clock without a signal: days later it shows the day that it is', async () => {
  const { phone, origin } = await phoneWith([
    { exerciseId: 'tuck-lying', dose: '10x10s every other day' },
    { exerciseId: 'chest-stretch', dose: '2x30s daily from day 4' },
  ]);
  await phone.reload();
  await says(phone, 'Everything you did is at harbour.');
  expect(await cameByNetwork(phone)).toBe(true);
  // What is kept of the page is newer than what is kept of the programme: it is kept last.
  await stage.server.stop('SIGKILL');
  await phone.evaluateOnNewDocument(() => {
    const real = Date.now.bind(Date);
    Date.now = () => real() + 3 * 86_400_000;
  });
  await phone.reload();
  await says(phone, 'Hands-behind chest stretch');
  expect(await textOf(phone)).not.toContain('Tuck lying down');
  expect(await cameByNetwork(phone)).toBe(false);
  // What is touched before the kept page is awake was meant for its day: nothing begins that nobody meant.
  await phone.goto('about:blank');
  await phone.goto(`${origin}/today#open-least-session-1`);
  await says(phone, ENGLISH.texts['today.moved']);
  expect(await textOf(phone)).toContain('Hands-behind chest stretch');
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await says(phone, 'Hands-behind chest stretch');
});

it('keeps no page of the clinic on a device', async () => {
  const { phone } = await phoneWith();
  const kept = () =>
    phone.evaluate(async () =>
      (await (await caches.open('dry-lantern-1')).keys())
        .map(({ url }) => new URL(url).pathname)
        .filter((path) => !path.startsWith('/_next/static/'))
        .sort(),
    );
  // The drawings are the catalogue's own; no other page is kept.
  await eventually(async () =>
    expect(await kept()).toEqual([
      '/figures/neck-warm-up/right',
      '/figures/sciatic-slider/right',
      '/today',
      '/today/offline',
    ]),
  );
});

it('forgets whom it was for when the link was ended, and keeps what is not sent until it is', async () => {
  const { phone, patientId } = await phoneWith();
  await revokeLink(stage.practitioner, patientId);
  const [version] =
    (await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId) ?? [];
  // A word about the day that had not gone out.
  const event = {
    ...eventOf({ type: 'check-in', pain: 3, word: 'late' }),
    programmeId: version?.version.programmeId,
    deviceAt: Date.now(),
  };
  await phone.evaluate(
    (waiting) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('dry-lantern');
        opening.onsuccess = () => {
          const tx = opening.result.transaction('events', 'readwrite');
          tx.objectStore('events').put(waiting);
          tx.oncomplete = () => resolve();
          tx.onerror = () => reject(new Error('not kept'));
        };
      }),
    { id: event.id, patientId, event },
  );
  await phone.reload();
  await says(phone, 'What you did is still saved on this phone');
  const kept = await phone.evaluate(async () => {
    const cached = await Promise.all(
      (await caches.keys()).map(async (name) => (await (await caches.open(name)).keys()).length),
    );
    const db = await new Promise<IDBDatabase>((resolve) => {
      const opening = indexedDB.open('dry-lantern');
      opening.onsuccess = () => resolve(opening.result);
    });
    const count = (store: string) =>
      new Promise<number>((resolve) => {
        const asked = db.transaction(store).objectStore(store).count();
        asked.onsuccess = () => resolve(asked.result);
      });
    return { cached, packs: await count('packs'), events: await count('events') };
  });
  expect(kept).toMatchObject({ cached: [], packs: 0 });
  expect(kept.events).toBe(1);
  // A new link on the same phone sends it.
  const again = await device(stage.practitioner, patientId);
  await goTo(phone, `${stage.server.origin}/open#${again.link}`);
  await eventually(async () =>
    expect(
      (await toldToday(stage.practitioner.clinicId, patientId)).map(({ type }) => type),
    ).toEqual(['check-in']),
  );
});
