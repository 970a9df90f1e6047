import type { Closing, TaughtLine } from '../records';

/** What is said to the patient for each exercise, in this order (common practice, no source). */
export const SAID_PARTS = ['kind', 'muscle', 'why', 'risk', 'numbers', 'stop'] as const;
export type SaidPart = (typeof SAID_PARTS)[number];

/** What happened in the room for one exercise, and what closes a teaching; the records' own types. */
export type { Closing, TaughtLine };

export type YesNo = NonNullable<TaughtLine['comfortable']>;

/** A fault that was seen, and what put it right on the spot. */
export type SeenFault = TaughtLine['faults'][number];

export function untaught(lineage: string): TaughtLine {
  return {
    lineage,
    said: [],
    demonstrated: false,
    watched: false,
    felt: [],
    comfortable: null,
    breathing: null,
    faults: [],
    cue: '',
    questions: null,
  };
}

/**
 * This patient's reminders from one exercise's teaching: the reminder that was written, else the
 * fixes that were used, the newest teaching counting.
 */
export function cuesFrom({ cue, faults }: TaughtLine): string[] {
  const fixes = faults.map(({ fix }) => fix).filter((fix) => fix !== '');
  return cue === '' ? fixes : [cue, ...fixes.filter((fix) => fix !== cue)];
}

/**
 * Every line's reminders after all teachings so far.
 *
 * @param teachings oldest first
 */
export function cuesByLineage(
  teachings: readonly (readonly TaughtLine[])[],
): ReadonlyMap<string, readonly string[]> {
  const cues = new Map<string, readonly string[]>();
  for (const lines of teachings)
    for (const line of lines) {
      const own = cuesFrom(line);
      // A later teaching that fixed nothing leaves what an earlier one fixed.
      if (own.length > 0) cues.set(line.lineage, own);
    }
  return cues;
}
