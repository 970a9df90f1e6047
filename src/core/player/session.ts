import type { RepDone, SetCount, SetPlace, SkipReason } from '../adherence';
import type { HowMany } from '../progression';
import type { Paces, PlayedSegment } from '../timeline';
import { type Seconds, seconds } from '../units';
import { learnPace, paceOf, restartLine, tapDone } from './own-pace';
import {
  type Playhead,
  type Step,
  advance,
  back,
  breakOff,
  currentSegment,
  isOver,
  isSameSet,
  skipLine,
  skipSet,
  startAt,
} from './playhead';

/** A longer silence means that nobody was watching: the count stands still instead of guessing. */
export const LONGEST_SILENCE_MS = 3_000;

export const PLAYER_MODES = [
  /** What to stop for has not been read on this phone yet. */
  'first time',
  'ready',
  'running',
  'paused',
  /** The page slept: the count stands where it was. */
  'away',
  'skipping',
  'stopping',
  'hurting',
  'over',
] as const;
export type PlayerMode = (typeof PLAYER_MODES)[number];

/** A set that is over and waits for its number. */
export type Counting = SetPlace & {
  readonly line: number;
  /** Repetitions that the player played of it. */
  readonly played: number;
};

/** A session as it is played. It knows no clock: every action that needs one brings its reading. */
export type PlayerState = {
  readonly mode: PlayerMode;
  readonly head: Playhead;
  /** Seconds of the segment under way that passed while the patient goes at their own pace. */
  readonly own: number;
  /** When `head` and `own` were true, milliseconds of a clock nobody can set; null while it stands. */
  readonly trueAt: number | null;
  readonly ownPace: boolean;
  readonly paces: Paces;
  readonly begun: boolean;
  /** What is asked after a set of each line; null where nothing is. */
  readonly asks: readonly (HowMany | null)[];
  /** The pause after a set goes on while its number is asked for; the next work waits for it. */
  readonly counting: Counting | null;
};

export type PlayerAction =
  | { readonly type: 'understood' }
  /** Begins, or goes on from wherever it stands still. */
  | { readonly type: 'go on'; readonly at: number }
  | { readonly type: 'tick'; readonly at: number }
  /** "I am ready", or "done". */
  | { readonly type: 'tap'; readonly at: number }
  | { readonly type: 'stand still'; readonly as: 'paused' | 'skipping' | 'stopping' | 'hurting' }
  /** How many it was, and what was lifted; null for what was not noted. */
  | { readonly type: 'count'; readonly reps: number | null; readonly load: number | null }
  /** Leaves out what is left of the set. */
  | { readonly type: 'end set' }
  | { readonly type: 'back' }
  | { readonly type: 'repeat line' }
  /** Leaves out what is left of the line, and says why. */
  | { readonly type: 'leave out'; readonly reason: SkipReason }
  | { readonly type: 'break off'; readonly because: 'enough' | 'symptom' }
  | { readonly type: 'own pace'; readonly on: boolean };

/** What has to be kept or told because of an action, in order. Lines are places in the session. */
export type PlayerTold =
  | { readonly type: 'begun' }
  | {
      readonly type: 'reps';
      readonly line: number;
      readonly reps: readonly RepDone[];
      /** Segment to go on with after a reload. */
      readonly index: number;
    }
  | { readonly type: 'line over' }
  | { readonly type: 'counted'; readonly line: number; readonly count: SetCount }
  | {
      readonly type: 'skipped';
      readonly line: number;
      readonly reason: SkipReason;
      readonly index: number;
    }
  | { readonly type: 'ended' }
  | { readonly type: 'stopped'; readonly because: 'enough' | 'symptom' }
  | { readonly type: 'paces learned'; readonly paces: Paces };

export type PlayerStep = { readonly state: PlayerState; readonly told: readonly PlayerTold[] };

/** A session to be played, from its first segment or from where it was left. */
export function playerState(
  segments: readonly PlayedSegment[],
  {
    index = 0,
    knowsWhenToStop,
    ownPace = false,
    paces,
    asks = [],
  }: {
    readonly index?: number;
    readonly knowsWhenToStop: boolean;
    readonly ownPace?: boolean;
    readonly paces: Paces;
    readonly asks?: readonly (HowMany | null)[];
  },
): PlayerState {
  return {
    mode: knowsWhenToStop ? 'ready' : 'first time',
    head: startAt(segments, index),
    own: 0,
    trueAt: null,
    ownPace,
    paces,
    begun: false,
    asks,
    counting: null,
  };
}

/** What an action makes of a session, and what has to be told of it. */
export function playerStep(state: PlayerState, action: PlayerAction): PlayerStep {
  switch (action.type) {
    case 'understood':
      return still(state.mode === 'first time' ? { ...state, mode: 'ready' } : state);
    case 'go on':
      return goneOn(state, action.at);
    case 'tick':
      return ticked(state, action.at);
    case 'tap':
      return state.mode === 'running' ? tapped(state, action.at) : still(state);
    case 'stand still':
      return still(state.mode === 'over' ? state : { ...state, mode: action.as, trueAt: null });
    case 'count':
      return counted(state, action.reps, action.load);
    case 'end set':
      return setEnded(state);
    case 'back':
      return still({ ...moved(state, back(state.head)), counting: null });
    case 'repeat line':
      return still({ ...moved(state, restartLine(state.head)), counting: null });
    case 'leave out':
      return leftOut(state, action.reason);
    case 'break off':
      return brokenOff(state, action.because);
    case 'own pace':
      return still({ ...state, ownPace: action.on, own: 0 });
  }
}

/** Seconds into the segment under way, at a moment between two ticks. */
export function secondsInto({ head, own, trueAt, ownPace, mode }: PlayerState, at: number): number {
  const since = mode === 'running' && trueAt !== null ? Math.max(0, at - trueAt) / 1000 : 0;
  return (ownPace ? own : head.elapsed) + since;
}

const still = (state: PlayerState): PlayerStep => ({ state, told: [] });

function goneOn(state: PlayerState, at: number): PlayerStep {
  if (state.mode === 'running' || state.mode === 'over' || state.mode === 'first time')
    return still(state);
  return {
    state: { ...state, mode: 'running', trueAt: at, begun: true },
    told: state.begun ? [] : [{ type: 'begun' }],
  };
}

/** A new place; the own time counts from the start of each segment. */
function moved(state: PlayerState, head: Playhead): PlayerState {
  return { ...state, head, own: head.index === state.head.index ? state.own : 0 };
}

function ticked(state: PlayerState, at: number): PlayerStep {
  if (state.mode !== 'running') return still(state);
  const passed = at - (state.trueAt ?? at);
  if (passed > LONGEST_SILENCE_MS) return still({ ...state, mode: 'away', trueAt: null });
  if (passed <= 0) return still({ ...state, trueAt: state.trueAt ?? at });
  if (state.ownPace) return still({ ...state, own: state.own + passed / 1000, trueAt: at });
  // One segment at a time, so that a step never spans two exercises.
  let now: PlayerState = { ...state, trueAt: at };
  const told: PlayerTold[] = [];
  let left = passed / 1000;
  while (left > 0 && !isOver(now.head) && !waitsForNumber(now)) {
    const segment = currentSegment(now.head);
    const room = segment ? segment.seconds - now.head.elapsed : 0;
    const spent = Math.min(left, Math.max(room, 0.001));
    const taken = took(now, advance(now.head, seconds(spent)));
    now = taken.state;
    told.push(...taken.told);
    left -= spent;
  }
  return { state: now, told };
}

/** Work does not begin while the set before it has no number. */
function waitsForNumber({ counting, head }: PlayerState): boolean {
  const segment = currentSegment(head);
  return counting !== null && segment !== null && isOfRep(segment);
}

/** A segment that begins by itself if nothing is done meanwhile. */
export type Change = {
  /** Of the segment that begins. */
  readonly index: number;
  /** From when the state was true, `trueAt`. */
  readonly after: Seconds;
  readonly kind: PlayedSegment['kind'];
};

/**
 * What begins by itself within so many seconds, so that its sound can be asked for ahead. Nothing does
 * while the session stands, goes at the patient's own pace, or waits for a number.
 *
 * @param within at most `LONGEST_SILENCE_MS`: beyond it the count would stand still
 */
export function changesAhead(state: PlayerState, within: Seconds): Change[] {
  if (state.mode !== 'running' || state.trueAt === null || state.ownPace) return [];
  const changes: Change[] = [];
  let now = state;
  let after = 0;
  while (!waitsForNumber(now)) {
    const segment = currentSegment(now.head);
    if (!segment) break;
    const left = segment.seconds - now.head.elapsed;
    after += left;
    if (after > within) break;
    now = took(now, advance(now.head, seconds(left))).state;
    const next = currentSegment(now.head);
    if (!next || waitsForNumber(now)) break;
    changes.push({ index: now.head.index, after: seconds(after), kind: next.kind });
  }
  return changes;
}

/** True in the pause before a set, or while getting ready for it. */
export function isBeforeSet(segment: PlayedSegment): boolean {
  return !isOfRep(segment) && segment.rep <= 1;
}

/** Getting into a hold and out of it belongs to the repetition; what is between two does not. */
function isOfRep({ work, kind }: PlayedSegment): boolean {
  return work !== null || kind === 'move' || kind === 'release';
}

/** A step that began in the line under way: what it did is kept, and the end is noticed. */
function took(state: PlayerState, { playhead, reps }: Step): PlayerStep {
  const line = currentSegment(state.head)?.line ?? 0;
  const next = currentSegment(playhead);
  const told: PlayerTold[] = [];
  if (reps.length > 0) told.push({ type: 'reps', line, reps, index: playhead.index });
  if (next && next.line !== line) told.push({ type: 'line over' });
  const last = reps.at(-1);
  const now = {
    ...moved(state, playhead),
    counting: last ? countingAfter(state, { ...last, line }, next) : state.counting,
  };
  if (next) return { state: now, told };
  return { state: { ...now, mode: 'over', trueAt: null }, told: [...told, { type: 'ended' }] };
}

/** The number to ask for once the last repetition of a set is done. */
function countingAfter(
  { asks, counting }: Pick<PlayerState, 'asks' | 'counting'>,
  last: RepDone & { readonly line: number },
  next: PlayedSegment | null,
): Counting | null {
  const ask = asks[last.line] ?? null;
  if (ask === null || (next && isSameSet(next, last, ask.alternating))) return counting;
  const { line, round, direction, station, set, rep } = last;
  const side = ask.alternating ? null : last.side;
  return { line, round, side, direction, station, set, played: rep };
}

function counted(state: PlayerState, reps: number | null, load: number | null): PlayerStep {
  const { counting, asks } = state;
  if (counting === null) return still(state);
  const { line, round, side, direction, station, set } = counting;
  const unit = asks[line]?.unit ?? null;
  const lifted = load !== null && unit !== null ? { amount: load, unit } : null;
  const told: PlayerTold = {
    type: 'counted',
    line,
    count: { round, side, direction, station, set, reps, load: lifted },
  };
  return {
    // Time that passed while the next work waited is nobody's work.
    state: { ...state, counting: null, trueAt: null },
    told: reps === null && lifted === null ? [] : [told],
  };
}

/** Enough of this set: its number is asked for, and the next set or exercise comes. */
function setEnded(state: PlayerState): PlayerStep {
  const segment = currentSegment(state.head);
  if (!segment) return still(state);
  const { line } = segment;
  const ask = state.asks[line] ?? null;
  const { playhead, reps } = skipSet(state.head, ask?.alternating ?? false);
  const { state: now, told } = took(state, { playhead, reps });
  const { round, direction, station, set, rep } = segment;
  const side = ask?.alternating ? null : segment.side;
  // The repetition under way was not finished; a set that was not begun has nothing to count.
  const played = Math.max(0, rep - 1);
  const begun = played > 0 || (set > 0 && isOfRep(segment));
  return {
    state: {
      ...now,
      trueAt: null,
      counting:
        ask !== null && begun
          ? { line, round, side, direction, station, set, played }
          : state.counting,
    },
    told,
  };
}

/** On to the next segment; the pace is learned where none is written. */
function tapped(state: PlayerState, at: number): PlayerStep {
  if (!currentSegment(state.head) || waitsForNumber(state)) return still(state);
  const elapsed = secondsInto(state, at);
  const pace = paceOf(state.head);
  const paces = pace ? learnPace(state.paces, pace, elapsed) : state.paces;
  const { state: now, told } = took({ ...state, paces, trueAt: at }, tapDone(state.head, elapsed));
  return { state: now, told: pace ? [{ type: 'paces learned', paces }, ...told] : told };
}

function leftOut(state: PlayerState, reason: SkipReason): PlayerStep {
  const line = currentSegment(state.head)?.line;
  if (line === undefined) return still(state);
  const { playhead, reps } = skipLine(state.head);
  const { index } = playhead;
  const over = isOver(playhead);
  return {
    state: {
      ...moved(state, playhead),
      mode: over ? 'over' : 'running',
      // It goes on with the first tick: nothing passes while a reason is chosen.
      trueAt: null,
    },
    told: [
      ...(reps.length > 0 ? [{ type: 'reps' as const, line, reps, index }] : []),
      { type: 'skipped', line, reason, index },
      ...(over ? [{ type: 'ended' as const }] : []),
    ],
  };
}

/** What was begun is told as far as it got; where the screen goes next is not the player's. */
function brokenOff(state: PlayerState, because: 'enough' | 'symptom'): PlayerStep {
  const segment = currentSegment(state.head);
  const reps = segment ? breakOff(state.head) : [];
  return {
    state: { ...state, trueAt: null },
    told: [
      ...(segment && reps.length > 0
        ? [{ type: 'reps' as const, line: segment.line, reps, index: state.head.index }]
        : []),
      { type: 'stopped', because },
    ],
  };
}
