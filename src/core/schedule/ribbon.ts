import type { Seconds } from '../units';
import type { WakingHours } from './due';
import type { SessionSlot } from './sessions';
import type { WallMinute } from './zone';

/** A part of the day that is taken: a meal, work. Ends after it begins, minutes of the wall clock. */
export type BusyBlock = { readonly from: number; readonly to: number; readonly label: string };

/** A session to be placed: how long it takes at most, and when it belongs. */
export type RibbonSession = {
  readonly key: string;
  readonly slot: SessionSlot;
  readonly seconds: Seconds;
};

export type Placement = {
  readonly key: string;
  /** Minutes of the wall clock; past 1440 where the waking day goes over midnight. */
  readonly from: number;
  readonly to: number;
  /** Put there by hand, or at a time of its own that was free. */
  readonly how: 'by hand' | 'by rule' | 'moved';
};

export type Ribbon = {
  readonly wake: number;
  readonly sleep: number;
  readonly placed: readonly Placement[];
  /** Posture resets and the like: moments without a length of their own worth drawing. */
  readonly ticks: readonly { readonly key: string; readonly at: number }[];
  /** What found no room, and why. */
  readonly unplaced: readonly { readonly key: string; readonly say: string }[];
};

/** Sessions tied to beats and shorter than this, seconds, are ticks. */
const TICK_UNDER = 180;
/** Free time between two sessions, minutes. Common practice, no source. */
const BREATHER = 1;

const minutesOf = (session: RibbonSession) => Math.max(1, Math.ceil(session.seconds / 60));

/**
 * Lays a day's sessions out from waking to sleep. Sessions without a time are spread evenly, as far
 * from each other as the day allows; a session dragged by hand stands where it was put if that is
 * free. Nothing overlaps another session or a busy block, and nothing leaves the waking hours: what
 * cannot fit is said instead.
 *
 * @param dragged minute at which a session was put by hand, by its key
 * @example layRibbon([{ key: 'a', slot: any(1, 1), seconds: 600 }], waking, [], {})
 */
export function layRibbon(
  sessions: readonly RibbonSession[],
  waking: WakingHours,
  busy: readonly BusyBlock[],
  dragged: Readonly<Record<string, number>>,
): Ribbon {
  const wake: number = waking.wake;
  const sleep: number = waking.sleep > waking.wake ? waking.sleep : waking.sleep + 1440;
  const taken: { from: number; to: number }[] = busy.flatMap((block) =>
    // A block of the early hours may belong to the end of a day that goes over midnight.
    [block, { ...block, from: block.from + 1440, to: block.to + 1440 }].filter(
      ({ from, to }) => to > wake && from < sleep,
    ),
  );
  const placed: Placement[] = [];
  const ticks: { key: string; at: number }[] = [];
  const unplaced: { key: string; say: string }[] = [];

  const isFree = (from: number, to: number) =>
    from >= wake && to <= sleep && taken.every((one) => to <= one.from || from >= one.to);
  function put(session: RibbonSession, from: number, how: Placement['how']): void {
    const to = from + minutesOf(session);
    taken.push({ from: from - BREATHER, to: to + BREATHER });
    placed.push({ key: session.key, from, to, how });
  }
  function putNear(session: RibbonSession, wanted: number, how: Placement['how']): void {
    const from = nearestFree(wanted, minutesOf(session), wake, sleep, isFree);
    if (from === null)
      unplaced.push({
        key: session.key,
        say: `No free ${minutesOf(session)} min are left in this day.`,
      });
    else put(session, from, from === wanted ? how : 'moved');
  }

  const isTick = (session: RibbonSession) =>
    session.slot.kind === 'at' && session.seconds < TICK_UNDER;
  const rest: RibbonSession[] = [];
  for (const session of sessions) {
    if (session.slot.kind === 'at' && isTick(session)) {
      ticks.push({ key: session.key, at: session.slot.minute });
      continue;
    }
    const by = dragged[session.key];
    if (by !== undefined && isFree(by, by + minutesOf(session))) put(session, by, 'by hand');
    else rest.push(session);
  }
  // Those with a time of their own come before those that can stand anywhere.
  const own = rest.filter(({ slot }) => slot.kind !== 'any');
  for (const session of own) putNear(session, wantedMinute(session.slot, wake, sleep), 'by rule');
  for (const session of rest.filter(({ slot }) => slot.kind === 'any'))
    putNear(
      session,
      Math.min(wantedMinute(session.slot, wake, sleep), sleep - minutesOf(session)),
      'by rule',
    );
  placed.sort((a, b) => a.from - b.from);
  return { wake, sleep, placed, ticks, unplaced };
}

/**
 * Where a session would stand on an empty day: n sessions spread so that the gaps between them are
 * equal, the first an hour after waking, the last an hour before sleep.
 */
function wantedMinute(slot: SessionSlot, wake: number, sleep: number): number {
  const margin = Math.min(60, (sleep - wake) / 4);
  switch (slot.kind) {
    case 'at':
      return slot.minute;
    case 'on waking':
      return wake;
    case 'after waking':
      return wake + margin;
    case 'before hands-on care':
      return Math.round(wake + (sleep - wake) * 0.4);
    case 'after hands-on care':
      return Math.round(wake + (sleep - wake) * 0.5);
    case 'before training':
      return Math.round(wake + (sleep - wake) * 0.6);
    case 'after training':
      return Math.round(wake + (sleep - wake) * 0.7);
    case 'any': {
      const span = sleep - wake - 2 * margin;
      const share = slot.of === 1 ? 0 : (slot.nth - 1) / (slot.of - 1);
      return Math.round(wake + margin + span * share);
    }
  }
}

/** The free start nearest to the wanted minute, the earlier of two as near; null without any. */
function nearestFree(
  wanted: number,
  minutes: number,
  wake: number,
  sleep: number,
  isFree: (from: number, to: number) => boolean,
): number | null {
  for (let away = 0; away <= sleep - wake + minutes; away += 1) {
    for (const from of away === 0 ? [wanted] : [wanted - away, wanted + away])
      if (isFree(from, from + minutes)) return from;
  }
  return null;
}

/** A minute snapped to the five minutes people think in. */
export function snapMinute(minute: number): WallMinute {
  return (Math.round(minute / 5) * 5) as WallMinute;
}
