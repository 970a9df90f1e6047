import type { RegionId } from '../symptoms';

/** What is said to the patient for each exercise, in this order (common practice, no source). */
export const SAID_PARTS = ['kind', 'muscle', 'why', 'risk', 'numbers', 'stop'] as const;
export type SaidPart = (typeof SAID_PARTS)[number];

export type YesNo = 'yes' | 'no';

/** A fault that was seen, and what put it right on the spot. */
export type SeenFault = { readonly fault: string; readonly fix: string };

/** What happened in the room for one exercise. */
export type TaughtLine = {
  readonly lineage: string;
  readonly said: readonly SaidPart[];
  readonly demonstrated: boolean;
  readonly watched: boolean;
  readonly felt: readonly RegionId[];
  /** Asked and answered; null while nobody has asked. */
  readonly comfortable: YesNo | null;
  readonly breathing: YesNo | null;
  readonly faults: readonly SeenFault[];
  /** This patient's own reminder, carried to handout and phone; empty when there is none. */
  readonly cue: string;
  /** Questions asked and answered; null while nobody has asked for them. */
  readonly questions: string | null;
};

/** What closes a teaching, for the whole programme. */
export type Closing = { readonly doseSaidAgain: boolean; readonly dayToComeBack: boolean };

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
