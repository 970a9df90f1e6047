import { SHIPPED } from '@/catalogue';
import { parseDose } from '@/core/dose';
import { NO_REPORT, type SessionDone, withTarget } from '@/core/history';
import { type Decided, type FollowRecord, courseOf } from '@/core/outlook';
import type { WallMinute, Zone } from '@/core/schedule';
import { addDays, localDate } from '@/core/units';

export const TODAY = localDate('2026-11-25');
export const on = (days: number) => addDays(TODAY, days);

export function line(text: string, lineage = 'tuck', episodeId: string | null = null) {
  const dose = parseDose(text);
  if (!dose.ok) throw new Error(dose.say);
  return {
    ...withTarget(
      { lineage, anchor: on(-30), dose: dose.value, mode: 'held', position: 'lying' },
      1,
    ),
    exerciseId: 'tuck-lying',
    exercise: {
      name: 'Tuck',
      position: 'lying' as const,
      mode: 'held' as const,
      steps: [],
      cues: [],
      props: [],
    },
    text,
    school: null,
    session: null,
    overrides: [],
    setUp: [],
    episodeId,
  };
}
export const version = (number: number, from: number, ...lines: ReturnType<typeof line>[]) => ({
  number,
  effectiveFrom: on(from),
  reviewOn: null,
  rounds: 1,
  programmeId: 'programme',
  reason: '',
  authorId: 'member',
  createdAt: 0,
  lines,
});
export const session = (change: Partial<SessionDone> = {}): SessionDone => ({
  id: 'session',
  key: 'session-1',
  share: 1,
  state: 'ended',
  version: 1,
  minute: 540,
  pain: 2,
  effort: 4,
  lines: [
    { lineage: 'tuck', share: 1, reps: 10, heldSeconds: 100, hold: 10, sets: [10], skipped: null },
  ],
  ...change,
});

export function record(change: Partial<FollowRecord['facts']> = {}): FollowRecord {
  return {
    facts: {
      today: TODAY,
      zone: 'Europe/Lisbon' as Zone,
      waking: { wake: 420 as WallMinute, sleep: 1320 as WallMinute },
      versions: [version(1, -20, line('10x10s'))],
      pauses: [],
      done: new Map(),
      ...change,
    },
    reports: new Map([[on(-1), { ...NO_REPORT, soreness: 'still sore' }]]),
    precautions: [],
    screenedOn: null,
    home: null,
    faults: new Map(),
    decisions: [],
    deficitSince: null,
    episodeFrom: null,
    improved: new Map(),
    stepSlides: false,
  };
}

export const courseIn = (
  change: Partial<FollowRecord['facts']>,
  now = line('10x10s'),
  more: Partial<FollowRecord> = {},
) => courseOf({ ...record(change), ...more }, now, SHIPPED.byId);

/** A word about a proposal. */
export const decision = (change: Partial<Decided> = {}): Decided => ({
  key: 'k',
  lineage: 'tuck',
  version: 1,
  decision: 'accepted',
  move: 'advance hold',
  event: null,
  toDose: '10x10s',
  toExerciseId: null,
  localDate: TODAY,
  ...change,
});
