import { eventually } from '../support/record';
import { PHONE, freshPage, goTo, press, reloaded, says, textOf } from '../support/browser';
import { device, makePatient, prescribe } from '../support/clinic';
import { browserStage } from '../support/stage';

const stage = browserStage(undefined, { whole: true });

/** The framework's script files that this page has begun. */
const BEGUN = () => document.querySelectorAll('head script[src]:not([nomodule])').length;

/** A phone at its first page, before anybody touches it. */
async function atToday(prepare?: () => void) {
  const patientId = await makePatient(stage.practitioner, 'Linnet Marlow');
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'neck-warm-up', dose: '10x5s gap 2s' },
  ]);
  const { link } = await device(stage.practitioner, patientId);
  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${link}`);
  await says(phone, 'Begin');
  if (prepare) await phone.evaluate(prepare);
  await phone.goto(`${stage.server.origin}/today`, { waitUntil: 'load' });
  return phone;
}

describe('the first page', () => {
  it('shows the day before any script file has begun, and wakes by itself', async () => {
    const phone = await atToday();
    expect(await phone.evaluate(BEGUN)).toBe(0);
    expect(await textOf(phone)).toContain('5 seconds, 10 times');
    await eventually(async () => expect(await phone.evaluate(BEGUN)).toBeGreaterThan(0));
    await says(phone, 'Everything you did is at');
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);

  it('does what a button touched too early asked for', async () => {
    const phone = await atToday();
    await press(phone, 'Begin');
    await says(phone, 'Before your first session');
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);

  it('wakes at once where the phone holds what the clinic does not have', async () => {
    const phone = await atToday(() => localStorage.setItem('dl-unsent', 'event x'));
    expect(await phone.evaluate(BEGUN)).toBeGreaterThan(0);
    // Nothing is unsent in truth, and the mark says so again.
    await eventually(async () =>
      expect(await phone.evaluate(() => localStorage.getItem('dl-unsent'))).toBeNull(),
    );
    await phone.close();
  }, 300_000);

  it('says that the browser has cleared what was kept here', async () => {
    const phone = await atToday();
    const patientId = await phone.evaluate(async () => {
      const { value } = (await (await fetch('/api/v1/patient/pack')).json()) as {
        value: { patientId: string };
      };
      return value.patientId;
    });
    // A session was marked as kept, and the store behind it is empty.
    await phone.evaluate((id) => localStorage.setItem('dl-unsent', `session ${id}`), patientId);
    await goTo(phone, `${stage.server.origin}/today`);
    await says(phone, 'has cleared what was kept on it');
    await goTo(phone, `${stage.server.origin}/today`);
    await says(phone, 'Everything you did is at');
    expect(await textOf(phone)).not.toContain('has cleared');
    await phone.close();
  }, 300_000);

  it('has the size of type that was chosen before it wakes', async () => {
    const phone = await atToday(() => localStorage.setItem('dl-text-size', 'larger'));
    expect(await phone.evaluate(() => document.documentElement.dataset.text)).toBe('larger');
    expect(await phone.evaluate(BEGUN)).toBe(0);
    await phone.close();
  }, 300_000);

  it('comes compressed, and so does what a handler answers', async () => {
    const phone = await atToday();
    for (const path of ['/today', '/api/v1/patient/pack']) {
      const answer = await phone.goto(`${stage.server.origin}${path}`);
      expect([path, answer?.headers()['content-encoding']]).toEqual([
        path,
        expect.stringMatching(/gzip|br/),
      ]);
    }
    await phone.close();
  }, 300_000);

  it('reminds of a session by the phone’s own means, where that was allowed', async () => {
    const phone = await atToday(() => localStorage.setItem('dl-notify', 'yes'));
    const { origin } = stage.server;
    await phone.browserContext().overridePermissions(origin, ['notifications']);
    // Hours pass in a moment, and it is just after midnight.
    await phone.evaluateOnNewDocument(() => {
      const real = window.setTimeout.bind(window);
      window.setTimeout = ((run: () => void, ms = 0) =>
        real(run, ms > 60_000 ? 1500 : ms)) as typeof window.setTimeout;
      Date.prototype.getHours = () => 0;
      Date.prototype.getMinutes = () => 1;
    });
    await reloaded(phone);
    await eventually(async () =>
      expect(
        await phone.evaluate(async () => {
          const worker = await navigator.serviceWorker.getRegistration('/today');
          return ((await worker?.getNotifications()) ?? []).map(({ body }) => body);
        }),
      ).toEqual([expect.stringContaining('Time for your exercises')]),
    );
    await phone.close();
  }, 300_000);
});
