import type { CDPSession, Page } from 'puppeteer-core';
import { pushSubscriptionsOf } from '@/db';
import { violations } from '../support/axe';
import { DESK, PHONE, beMember, freshPage, goTo, press, says } from '../support/browser';
import { browserStage } from '../support/browser-stage';
import { device, makePatient, prescribe } from '../support/clinic';

/** Notices on a phone: asked for in the settings, shown by the page's worker. */
const stage = browserStage(undefined, { whole: true });

/** The service of the phone's maker, which a browser without a network does not have. */
async function withService(phone: Page): Promise<void> {
  await phone.evaluateOnNewDocument(() => {
    PushManager.prototype.subscribe = (options) =>
      Promise.resolve({
        toJSON: () => ({
          endpoint: 'https://push.example.com/send/one',
          keys: { p256dh: 'k'.repeat(87), auth: 'a'.repeat(22) },
          asked: options?.applicationServerKey,
        }),
      } as unknown as PushSubscription);
  });
}

/** Hands a notice to the worker as the browser does. */
async function deliver(session: CDPSession, origin: string, data: string): Promise<void> {
  const registrationId = await new Promise<string>((resolve) => {
    session.on('ServiceWorker.workerRegistrationUpdated', ({ registrations }) => {
      const one = registrations.find(({ scopeURL }) => scopeURL === `${origin}/today`);
      if (one) resolve(one.registrationId);
    });
    void session.send('ServiceWorker.enable');
  });
  await session.send('ServiceWorker.deliverPushMessage', { origin, registrationId, data });
}

const shown = (phone: Page) =>
  phone.evaluate(async () => {
    const worker = await navigator.serviceWorker.getRegistration('/today');
    return ((await worker?.getNotifications()) ?? []).map(({ title, body }) => [title, body]);
  });

it('are offered where the clinic turned them on, asked for, and shown (long)', async () => {
  const { origin } = stage.server;
  const patientId = await makePatient(stage.practitioner, 'Wren Tarbuck');
  await prescribe(stage.practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const { link } = await device(stage.practitioner, patientId);
  const phone = await freshPage(stage.browser, PHONE);
  await withService(phone);
  await phone.browserContext().overridePermissions(origin, ['notifications']);
  await goTo(phone, `${origin}/open#${link}`);
  await says(phone, 'Begin');
  await goTo(phone, `${origin}/today/settings`);
  const ways = () =>
    phone.$$eval('select option', (all) => all.map(({ value }) => value).filter((one) => one));
  expect(await ways()).not.toContain('push');

  const desk = await freshPage(stage.browser, DESK);
  await beMember(desk, origin, stage.lead.token);
  await goTo(desk, `${origin}/clinic`);
  await press(desk, 'Turn notices on');
  await says(desk, 'Patients can choose notices.');

  await goTo(phone, `${origin}/today/settings`);
  expect(await ways()).toContain('push');
  await phone.select('select:has(option[value=push])', 'push');
  expect(await violations(phone, 'notices chosen')).toEqual([]);
  await phone.evaluate(() =>
    [...document.querySelectorAll('label')]
      .find((label) => label.textContent?.startsWith('Remind me of each session'))
      ?.click(),
  );
  await press(phone, 'Save');
  await says(phone, 'Saved');
  expect(await pushSubscriptionsOf(stage.lead.clinicId, patientId)).toMatchObject([
    { endpoint: 'https://push.example.com/send/one' },
  ]);

  const session = await phone.createCDPSession();
  await deliver(session, origin, JSON.stringify({ title: 'harbour', body: 'Time for it.' }));
  for (;;) {
    const found = await shown(phone);
    if (found.length > 0) {
      expect(found).toEqual([['harbour', 'Time for it.']]);
      break;
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
});
