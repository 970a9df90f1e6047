import type { RepDone, SkipReason } from '../adherence';
import type { Paces, PlayedSegment } from '../timeline';
import { seconds } from '../units';
import { learnPace, paceOf, restartLine, tapDone } from './own-pace';
import {
  type Playhead,
  type Step,
  advance,
  back,
  breakOff,
  currentSegment,
  isOver,
  skipLine,
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
};

export type PlayerAction =
  | { readonly type: 'understood' }
  /** Begins, or goes on from wherever it stands still. */
  | { readonly type: 'go on'; readonly at: number }
  | { readonly type: 'tick'; readonly at: number }
  /** "I am ready", or "done". */
  | { readonly type: 'tap'; readonly at: number }
  | { readonly type: 'stand still'; readonly as: 'paused' | 'skipping' | 'stopping' | 'hurting' }
  | { readonly type: 'back' }
  | { readonly type: 'repeat line' }
  /** Leaves out what is left of the line; without a reason it was enough of it. */
  | { readonly type: 'leave out'; readonly reason: SkipReason | null }
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
  }: {
    readonly index?: number;
    readonly knowsWhenToStop: boolean;
    readonly ownPace?: boolean;
    readonly paces: Paces;
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
    case 'back':
      return still(moved(state, back(state.head)));
    case 'repeat line':
      return still(moved(state, restartLine(state.head)));
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
  while (left > 0 && !isOver(now.head)) {
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

/** A step that began in the line under way: what it did is kept, and the end is noticed. */
function took(state: PlayerState, { playhead, reps }: Step): PlayerStep {
  const line = currentSegment(state.head)?.line ?? 0;
  const next = currentSegment(playhead);
  const told: PlayerTold[] = [];
  if (reps.length > 0) told.push({ type: 'reps', line, reps, index: playhead.index });
  if (next && next.line !== line) told.push({ type: 'line over' });
  const now = moved(state, playhead);
  if (next) return { state: now, told };
  return { state: { ...now, mode: 'over', trueAt: null }, told: [...told, { type: 'ended' }] };
}

/** On to the next segment; the pace is learned where none is written. */
function tapped(state: PlayerState, at: number): PlayerStep {
  if (!currentSegment(state.head)) return still(state);
  const elapsed = secondsInto(state, at);
  const pace = paceOf(state.head);
  const paces = pace ? learnPace(state.paces, pace, elapsed) : state.paces;
  const { state: now, told } = took({ ...state, paces, trueAt: at }, tapDone(state.head, elapsed));
  return { state: now, told: pace ? [{ type: 'paces learned', paces }, ...told] : told };
}

function leftOut(state: PlayerState, reason: SkipReason | null): PlayerStep {
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
      reason === null ? { type: 'line over' } : { type: 'skipped', line, reason, index },
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
