import type { PackSession } from './patient-pack';

/** Sessions of one beat of the day ("every 30 min"), told as one row with a count. */
export type Resets = {
  readonly key: string;
  /** Minutes between two of them. */
  readonly minutesApart: number;
  readonly count: number;
  readonly done: number;
  /** The one to be done now: the latest that is due and undone, else the next; null when all are. */
  readonly now: PackSession | null;
};

export type SplitSessions = {
  /** Those that stand by themselves, in their order. */
  readonly plain: readonly PackSession[];
  readonly resets: readonly Resets[];
};

/** The minutes between the sessions of a beat, from its key; null for a session of its own. */
export function beatOf({ key }: Pick<PackSession, 'key'>): number | null {
  const beat = /^every-(\d+)-\d+$/.exec(key)?.[1];
  return beat === undefined ? null : Number(beat);
}

/**
 * The day's sessions with the resets of each beat put together: thirty-one buttons are nobody's day.
 *
 * @param isDone whether a session is over, as the clinic or this phone knows it
 * @param minute minute of the wall clock now; null where nobody knows yet
 */
export function splitResets(
  sessions: readonly PackSession[],
  isDone: (session: PackSession) => boolean,
  minute: number | null,
): SplitSessions {
  const beats = new Map<number, PackSession[]>();
  for (const session of sessions) {
    const beat = beatOf(session);
    if (beat !== null) beats.set(beat, [...(beats.get(beat) ?? []), session]);
  }
  return {
    plain: sessions.filter((session) => beatOf(session) === null),
    resets: [...beats].map(([minutesApart, all]) => {
      const open = all.filter((session) => !isDone(session));
      const due = open.filter(({ at }) => minute !== null && at !== null && at <= minute);
      return {
        key: `every-${minutesApart}`,
        minutesApart,
        count: all.length,
        done: all.length - open.length,
        now: due.at(-1) ?? open[0] ?? null,
      };
    }),
  };
}
