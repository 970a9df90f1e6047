import type { Chance } from '@/core/statistics';
import type { At } from '@/core/verdict';

/** What really happens to a simulated patient's worst pain in so many weeks. */
export const TRUTHS = {
  flat: { change: 0, flare: false },
  'flat with a flare that passes': { change: 0, flare: true },
  'falls by 1': { change: -1, flare: false },
  'falls by 2': { change: -2, flare: false },
  'falls by 3': { change: -3, flare: false },
  'rises by 3': { change: 3, flare: false },
} as const;
export type Truth = keyof typeof TRUTHS;

/** How a change is made. */
export const DIARY_SHAPES = ['straight', 'in a step', 'levelling off'] as const;
export type DiaryShape = (typeof DIARY_SHAPES)[number];

/** The change is made in so many days; whoever is watched longer stays where it led. */
const CHANGE_DAYS = 42;

const between = (chance: Chance, low: number, high: number) =>
  low + (high - low) * chance.fraction();

/**
 * Daily worst pain of one simulated patient: a true course (straight, a step, or levelling off, a third
 * each), deviations that last from day to day (first-order autoregressive, 0–0.7) with a standard
 * deviation of 0.5–1.8 points, rounded and cut to 0–10 as a person tells it, 10–60 % of days not told.
 *
 * @param only the shape of the change; left out, one by chance
 */
export function diary(truth: Truth, days: number, chance: Chance, only?: DiaryShape): At[] {
  const { change, flare } = TRUTHS[truth];
  const [memory, spread] = [between(chance, 0, 0.7), between(chance, 0.5, 1.8)];
  const tells = between(chance, 0.4, 0.9);
  const start = change > 0 ? between(chance, 2, 5) : between(chance, 4, 7.5);
  const drawn = DIARY_SHAPES[Math.floor(between(chance, 0, 3))];
  const shape = only ?? drawn;
  const [stepOn, tau] = [between(chance, 7, 35), between(chance, 4, 18)];
  const flares = {
    on: between(chance, 4, 30),
    days: between(chance, 4, 11),
    by: between(chance, 2, 4),
  };
  const done = (day: number) => {
    const part = Math.min(1, day / (CHANGE_DAYS - 1));
    if (shape === 'straight') return part;
    if (shape === 'in a step') return day >= stepOn ? 1 : 0;
    return (1 - Math.exp(-day / tau)) / (1 - Math.exp(-(CHANGE_DAYS - 1) / tau));
  };
  let deviation = spread * chance.normal();
  const told: At[] = [];
  for (let day = 0; day < days; day += 1) {
    if (day > 0)
      deviation = memory * deviation + spread * Math.sqrt(1 - memory ** 2) * chance.normal();
    const flared = flare && day >= flares.on && day < flares.on + flares.days ? flares.by : 0;
    const value = start + change * done(day) + flared + deviation;
    if (chance.fraction() < tells)
      told.push({ day, value: Math.min(10, Math.max(0, Math.round(value))) });
  }
  return told;
}

/**
 * Another clinic altogether, which nothing was tuned on: whole points that hang together as a walk that is
 * drawn back, now and then a level that shifts for days, and sore days that are told less often.
 */
export function otherDiary(truth: Truth, days: number, chance: Chance): At[] {
  const { change, flare } = TRUTHS[truth];
  const start = change > 0 ? between(chance, 2, 5) : between(chance, 4, 7);
  const drawn = between(chance, 0.3, 0.9);
  const restless = between(chance, 0.25, 0.7);
  const tells = between(chance, 0.5, 0.95);
  const [from, to] = [between(chance, 3, 20), between(chance, 25, 42)];
  const flares = {
    on: between(chance, 4, 30),
    days: between(chance, 3, 10),
    by: between(chance, 2, 4),
  };
  let off = 0;
  let shift = 0;
  const told: At[] = [];
  for (let day = 0; day < days; day += 1) {
    if (chance.fraction() < restless) off += chance.fraction() < 0.5 ? -1 : 1;
    if (chance.fraction() < drawn && off !== 0) off -= Math.sign(off);
    if (chance.fraction() < 0.03) shift = Math.round(between(chance, -1, 1));
    const part = Math.min(1, Math.max(0, (day - from) / (to - from)));
    const flared = flare && day >= flares.on && day < flares.on + flares.days ? flares.by : 0;
    const value = Math.min(
      10,
      Math.max(0, Math.round(start + change * part + flared + off + shift)),
    );
    if (chance.fraction() < (off > 1 ? tells * 0.6 : tells)) told.push({ day, value });
  }
  return told;
}
