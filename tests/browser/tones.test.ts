import type { Page } from 'puppeteer-core';
import type { PatientPack } from '@/core/exchange';
import { DEFAULT_PACES, sessionTimeline, toPlay } from '@/core/timeline';
import { press, says } from '../support/browser';
import { finish, phoneStage } from '../support/phone';

const { atThePlayer } = phoneStage();

type Tone = { at: number; hertz: number; silenced: boolean };
type Heard = { tones: Tone[] };

/**
 * A sound card that writes down what it is asked for, and timers later than a page out of sight has
 * them: every 1.4 seconds of the player's clock, which goes twice as fast here.
 */
async function outOfSight(phone: Page): Promise<void> {
  await phone.evaluateOnNewDocument(() => {
    const heard: Heard = { tones: [] };
    Object.assign(globalThis, { heard });
    class Param {
      value = 0;
      setValueAtTime() {}
      exponentialRampToValueAtTime() {}
    }
    class FakeAudio {
      destination = {};
      get currentTime() {
        return performance.now() / 1000;
      }
      resume = () => Promise.resolve();
      createGain = () => ({ gain: new Param(), connect: (to: unknown) => to });
      createOscillator() {
        const frequency = new Param();
        const tone: Tone = { at: 0, hertz: 0, silenced: false };
        return {
          frequency,
          connect: (to: unknown) => to,
          start: (at: number) => {
            Object.assign(tone, { at, hertz: frequency.value });
            heard.tones.push(tone);
          },
          stop: () => undefined,
          disconnect: () => {
            tone.silenced = true;
          },
        };
      }
    }
    Object.assign(globalThis, { AudioContext: FakeAudio });
    const usual = setInterval;
    Object.assign(globalThis, {
      setInterval: (job: () => void, every: number) => usual(job, Math.max(700, every)),
    });
  });
}

const heardOn = (phone: Page) =>
  phone.evaluate(() =>
    (globalThis as unknown as { heard: Heard }).heard.tones.filter(({ silenced }) => !silenced),
  );

it('sounds each change when it is due, also where the page is woken later than once a second (long)', async () => {
  const { phone } = await atThePlayer(outOfSight);
  const pack = await phone.evaluate(async () => {
    const answer = await fetch('/api/v1/patient/pack');
    return ((await answer.json()) as { value: PatientPack }).value;
  });
  await finish(phone);
  const expected = toPlay(sessionTimeline(pack.lines, 1), 'least', DEFAULT_PACES).map(
    ({ startsAt }) => startsAt,
  );
  const heard = (await heardOn(phone)).map(({ at }) => at).sort((a, b) => a - b);
  expect(heard).toHaveLength(expected.length);
  const first = heard[0] ?? 0;
  const late = heard.map((at, index) => at - first - ((expected[index] ?? 0) - (expected[0] ?? 0)));
  // Against the first that was foreseen: the one before it sounds with the touch.
  const off = late.slice(1).map((one) => Math.abs(one - (late[1] ?? 0)) * 1000);
  expect(Math.max(...off)).toBeLessThan(50);
}, 900_000);

it('takes back what was asked for when the session is paused (long)', async () => {
  const { phone } = await atThePlayer(outOfSight);
  await says(phone, '2 of 4');
  await press(phone, 'Pause');
  await says(phone, 'Go on');
  const until = await phone.evaluate(() => performance.now() / 1000);
  const to = (await heardOn(phone)).filter(({ at }) => at > until + 0.1);
  expect(to).toEqual([]);
}, 900_000);
