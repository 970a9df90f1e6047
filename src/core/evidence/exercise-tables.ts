import { textOrder } from '../units';
import { FEWEST_PATIENTS } from '../outlook';
import { shareInterval } from '../statistics';
import type { EpisodeOf } from './told';

/** So many of a thousand sessions, with the interval; null where it happened with one to four patients. */
export type Rate = { readonly per: number; readonly low: number; readonly high: number } | null;
export type ExerciseTable = {
  readonly id: string;
  readonly patients: number;
  readonly sessions: number;
  readonly flares: Rate;
  readonly stops: Rate;
  readonly leftOut: Rate;
};

/** Of fewer sessions a rate says nothing. Ours. */
const LEAST_SESSIONS = 50;
const MOST_EXERCISES = 60;

type Sum = { readonly patients: Set<string>; count: number };
const nothing = (): Sum => ({ patients: new Set(), count: 0 });
function put(sum: Sum, patient: string, count: number): void {
  if (count > 0) sum.patients.add(patient);
  sum.count += count;
}

/** What each exercise came to in a thousand sessions, the most used first. */
export function exerciseTables(all: readonly EpisodeOf[]): ExerciseTable[] {
  const COUNTED = ['sessions', 'flares', 'stops', 'leftOut'] as const;
  const found = new Map<string, Record<(typeof COUNTED)[number], Sum>>();
  for (const { patient, facts } of all)
    for (const exercise of facts.exercises) {
      const known = found.get(exercise.id) ?? {
        sessions: nothing(),
        flares: nothing(),
        stops: nothing(),
        leftOut: nothing(),
      };
      for (const name of COUNTED) put(known[name], patient, exercise[name]);
      found.set(exercise.id, known);
    }
  const rate = ({ patients: { size }, count }: Sum, of: number): Rate => {
    const share = size > 0 && size < FEWEST_PATIENTS ? null : shareInterval(count, of);
    return share && { per: share.share * 1000, low: share.low * 1000, high: share.high * 1000 };
  };
  return [...found]
    .flatMap(([id, { sessions, flares, stops, leftOut }]): ExerciseTable[] =>
      sessions.patients.size < FEWEST_PATIENTS || sessions.count < LEAST_SESSIONS
        ? []
        : [
            {
              id,
              patients: sessions.patients.size,
              sessions: sessions.count,
              flares: rate(flares, sessions.count),
              stops: rate(stops, sessions.count),
              leftOut: rate(leftOut, sessions.count + leftOut.count),
            },
          ],
    )
    .sort((a, b) => b.sessions - a.sessions || textOrder(a.id, b.id))
    .slice(0, MOST_EXERCISES);
}
