import type { HTTPRequest, Page } from 'puppeteer-core';
import { SHIPPED_LANGUAGES } from '@/catalogue/shipped-languages';
import { eventually } from '../support/record';
import { PHONE, freshPage, goTo, press, reloaded, says, textOf } from '../support/browser';
import { dateFormat, weekday } from '@/core/units';
import { changeClinic } from '@/server/people';
import { PASSWORD, ZONE, device, makePatient, minute, prescribe, today } from '../support/clinic';
import { browserStage } from '../support/browser-stage';

const stage = browserStage(undefined, { whole: true });

/** A phone at its first page, before anybody touches it. */
async function atToday(prepare?: () => void, dose = '10x5s gap 2s', begins = 'Begin') {
  const patientId = await makePatient(stage.practitioner, 'Linnet Marlow');
  await prescribe(stage.practitioner, patientId, [{ exerciseId: 'neck-warm-up', dose }]);
  const { link } = await device(stage.practitioner, patientId);
  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${link}`);
  await says(phone, begins);
  if (prepare) await phone.evaluate(prepare);
  await phone.goto(`${stage.server.origin}/today`, { waitUntil: 'load' });
  return phone;
}

describe('the first page', () => {
  it('shows the day, and what its first touch asks for, before any script has come', async () => {
    const phone = await atToday();
    await phone.setJavaScriptEnabled(false);
    await phone.goto(`${stage.server.origin}/today`, { waitUntil: 'load' });
    expect(await textOf(phone)).toContain('5 seconds, 10 times');
    expect(await textOf(phone)).not.toContain('This is what comes');
    await press(phone, 'Begin');
    await says(phone, 'This is what comes');
    await phone.goto(`${stage.server.origin}/today`, { waitUntil: 'load' });
    await press(phone, 'A short word about today');
    await says(phone, 'It opens as soon as this phone is ready');
    await phone.close();
  }, 300_000);

  it.each(process.env.EVERY_CASE ? ['no', 'yes'] : ['no'])(
    'moves nothing when it wakes, on a phone that knows when to stop: %s',
    async (known) => {
      const phone = await atToday();
      await phone.evaluate((value) => localStorage.setItem('dl-knows-when-to-stop', value), known);
      await phone.evaluateOnNewDocument(() => {
        document.addEventListener('DOMContentLoaded', () => {
          const { top } = document.querySelector('h1')?.getBoundingClientRect() ?? { top: -1 };
          Object.assign(globalThis, { firstTop: top });
        });
      });
      await reloaded(phone);
      await says(phone, 'Everything you did is at');
      const [before, after, offered] = await phone.evaluate(() => [
        (globalThis as unknown as { firstTop: number }).firstTop,
        document.querySelector('h1')?.getBoundingClientRect().top ?? -1,
        document.querySelector<HTMLElement>('ul:has(button[lang])')?.offsetHeight ?? 0,
      ]);
      // A line of text is 28 px high; the list of languages is 44 and more.
      expect(Math.abs((after ?? 0) - (before ?? 0))).toBeLessThan(10);
      expect((offered ?? 0) > 0).toBe(known === 'no');
      await phone.close();
    },
    300_000,
  );

  it('goes on with what was touched too early as soon as it is awake', async () => {
    const phone = await atToday();
    await phone.goto(`${stage.server.origin}/today#open-least-session-1`, { waitUntil: 'load' });
    await says(phone, 'Before your first session');
    // It is asked for once: a reload shows the day.
    await phone.waitForFunction(() => location.hash === '');
    await reloaded(phone);
    await says(phone, 'Everything you did is at');
    await goTo(phone, `${stage.server.origin}/today#open-day`);
    await says(phone, 'About which day?');
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);

  it('keeps open what was touched before all of the page had come', async () => {
    const phone = await atToday();
    await phone.setRequestInterception(true);
    await phone.setBypassServiceWorker(true);
    await phone.setCacheEnabled(false);
    let waiting: HTTPRequest[] | null = [];
    phone.on('request', (request) => {
      if (waiting && request.resourceType() === 'font') waiting.push(request);
      else void request.continue();
    });
    await phone.goto(`${stage.server.origin}/today`, { waitUntil: 'domcontentloaded' });
    await press(phone, 'Begin');
    await says(phone, 'Before your first session');
    expect(await phone.evaluate(() => document.readyState)).toBe('interactive');
    const late = waiting;
    waiting = null;
    for (const request of late) void request.continue();
    await phone.waitForFunction(() => document.readyState === 'complete');
    // What the browser tells of the way here, it tells then.
    await phone.evaluate(() => new Promise((done) => setTimeout(done)));
    expect(await textOf(phone)).toContain('Before your first session');
    await phone.goBack();
    await says(phone, 'Everything you did is at');
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);

  it('stays on the clinic’s day where the phone’s clock is three days ahead', async () => {
    const phone = await atToday();
    const date = await phone.$eval('h1', (title) => title.textContent);
    await phone.setRequestInterception(true);
    await phone.setBypassServiceWorker(true);
    let waiting: HTTPRequest[] | null = [];
    phone.on('request', (request) => {
      if (waiting && request.url().endsWith('/patient/pack')) waiting.push(request);
      else void request.continue();
    });
    await phone.evaluateOnNewDocument(() => {
      const real = Date.now.bind(Date);
      Date.now = () => real() + 3 * 86_400_000;
    });
    await reloaded(phone);
    // The phone has looked at what it keeps, and waits for the clinic's word.
    await eventually(async () => expect(waiting).not.toEqual([]));
    expect(await phone.$eval('h1', (title) => title.textContent)).toBe(date);
    const late = waiting;
    waiting = null;
    for (const request of late) void request.continue();
    await says(phone, 'Everything you did is at');
    expect(await phone.$eval('h1', (title) => title.textContent)).toBe(date);
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);

  it('wakes without the browser’s calendar and numbers, whose first answer costs a phone a fifth of a second (long)', async () => {
    // Closed now, and open the day after tomorrow.
    const time = { from: minute(8 * 60), to: minute(9 * 60) };
    await changeClinic(stage.lead, {
      name: 'Harbour Clinic',
      phone: '+000 555 01',
      emergencyText: 'Ring the bell.',
      zone: ZONE,
      openingHours: { [weekday(today(2))]: [time] },
    });
    const phone = await atToday(undefined, '5x5s every 2h', 'Do one now');
    // Times are said by the phone's own clock.
    await phone.emulateTimezone(ZONE);
    await phone.evaluateOnNewDocument(() => {
      const made: string[] = [];
      for (const name of ['DateTimeFormat', 'NumberFormat'] as const)
        Object.assign(Intl, {
          [name]: new Proxy(Intl[name], {
            construct: (kind, given) => (made.push(name), Reflect.construct(kind, given) as object),
          }),
        });
      Object.assign(globalThis, { formatsMade: made });
    });
    await reloaded(phone);
    await says(phone, 'Everything you did is at');
    expect(await textOf(phone)).toContain('Every 2 hours');
    const opens = dateFormat('en', { weekday: 'long', timeZone: 'UTC' }).format(
      Date.parse(today(2)),
    );
    expect(await phone.$eval('details', (advice) => advice.textContent)).toContain(
      `again on ${opens} 08:00`,
    );
    expect(
      await phone.evaluate(() => (globalThis as unknown as { formatsMade: string[] }).formatsMade),
    ).toEqual([]);
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);

  it('turns to the language that was touched too early, and shows the touch meanwhile (long)', async () => {
    const phone = await atToday(() => localStorage.removeItem('dl-knows-when-to-stop'));
    const german = SHIPPED_LANGUAGES.find(({ tag }) => tag === 'de');
    await phone.setRequestInterception(true);
    // Its scripts come by the network, as on a phone that has kept nothing yet.
    await phone.setBypassServiceWorker(true);
    await phone.setCacheEnabled(false);
    let waiting: HTTPRequest[] | null = [];
    phone.on('request', (request) => {
      if (waiting && request.resourceType() === 'script') waiting.push(request);
      else void request.continue();
    });
    await phone.goto(`${stage.server.origin}/today`, { waitUntil: 'domcontentloaded' });
    await press(phone, 'Deutsch');
    await phone.waitForSelector('button[lang=de][aria-busy=true]');
    expect(await textOf(phone)).toContain('Begin');
    const late = waiting;
    waiting = null;
    for (const request of late) void request.continue();
    await says(phone, german?.texts['today.begin'] ?? '');
    expect(await phone.evaluate(() => document.querySelector('main')?.lang)).toBe('de');
    expect(phone.problems).toEqual([]);
    await phone.close();
  }, 300_000);

  it('clears the mark of what the clinic does not have when it has everything (long)', async () => {
    const phone = await atToday(() => localStorage.setItem('dl-unsent', 'event x'));
    await eventually(async () =>
      expect(await phone.evaluate(() => localStorage.getItem('dl-unsent'))).toBeNull(),
    );
    await phone.close();
  }, 300_000);

  it('says that the browser has cleared what it kept here (long)', async () => {
    const phone = await atToday();
    const patientId = await phone.evaluate(async () => {
      const { value } = (await (await fetch('/api/v1/patient/pack')).json()) as {
        value: { patientId: string };
      };
      return value.patientId;
    });
    // A session was marked as kept, and the store behind it is empty. The mark is set before the page's
    // own scripts, since the page before may still say that everything is told.
    const { identifier } = await phone.evaluateOnNewDocument(
      (id) => localStorage.setItem('dl-unsent', `session ${id}`),
      patientId,
    );
    await goTo(phone, `${stage.server.origin}/today`);
    await phone.removeScriptToEvaluateOnNewDocument(identifier);
    await says(phone, 'has cleared what it kept');
    await goTo(phone, `${stage.server.origin}/today`);
    await says(phone, 'Everything you did is at');
    expect(await textOf(phone)).not.toContain('has cleared');
    await phone.close();
  }, 300_000);

  it('has the size of type that was chosen before it wakes (long)', async () => {
    const phone = await atToday(() => localStorage.setItem('dl-text-size', 'larger'));
    // None of the framework's scripts comes; the page's own few lines do.
    await phone.setRequestInterception(true);
    phone.on('request', (request) => {
      void (request.resourceType() === 'script' ? request.abort() : request.continue());
    });
    await phone.goto(`${stage.server.origin}/today`, { waitUntil: 'load' });
    expect(await phone.evaluate(() => document.documentElement.dataset.text)).toBe('larger');
    await phone.close();
  }, 300_000);

  it('comes compressed, and so does what a handler answers (long)', async () => {
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

  it('reminds of a session by the phone’s own means, where that was allowed (long)', async () => {
    const phone = await atToday(() => localStorage.setItem('dl-notify', 'yes'));
    const { origin } = stage.server;
    await phone.browserContext().overridePermissions(origin, ['notifications']);
    // A notice is shown by the worker; before it is at work the page would show it itself.
    await phone.evaluate(() => navigator.serviceWorker.ready.then(() => true));
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

describe('a form that is sent before the page is awake', () => {
  /** A page whose scripts come when they are let go. */
  async function held(path: string) {
    const page = await freshPage(stage.browser, PHONE);
    await page.setRequestInterception(true);
    let waiting: HTTPRequest[] | null = [];
    page.on('request', (request) => {
      if (waiting && request.resourceType() === 'script') waiting.push(request);
      else void request.continue();
    });
    await page.goto(`${stage.server.origin}${path}`, { waitUntil: 'domcontentloaded' });
    const letGo = () => {
      const late = waiting ?? [];
      waiting = null;
      for (const request of late) void request.continue();
    };
    return { page, letGo };
  }
  async function signIn(page: Page) {
    await page.type('input[name=email]', stage.emails.practitioner);
    await page.type('input[name=password]', PASSWORD);
    await page.keyboard.press('Enter');
  }

  it('is sent when it is, and stands in no address', async () => {
    const { page, letGo } = await held('/sign-in');
    await signIn(page);
    await page.waitForSelector('form[aria-busy=true]');
    expect(page.url()).toBe(`${stage.server.origin}/sign-in`);
    letGo();
    await page.waitForFunction(() => location.pathname === '/');
    expect(page.url()).not.toContain('?');
    expect(page.problems).toEqual([]);
    await page.close();
  }, 300_000);

  it('stands in no address either where no script ever comes (long)', async () => {
    const page = await freshPage(stage.browser, PHONE);
    await page.setJavaScriptEnabled(false);
    await page.goto(`${stage.server.origin}/sign-in`);
    await Promise.all([page.waitForNavigation(), signIn(page)]);
    expect(page.url()).toBe(`${stage.server.origin}/sign-in`);
    await page.close();
  }, 300_000);
});
