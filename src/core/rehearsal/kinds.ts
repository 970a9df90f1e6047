/** A made-up patient to try a school on before it is chosen. The numbers are ours, no source. */
export type RehearsedPatient = {
  readonly says: string;
  /** Growth of what can be done, by each session done, as a share. */
  readonly gain: number;
  /** Chance that a due session is done. */
  readonly begins: number;
  /** Pain of a session at the right effort, 0–10. */
  readonly pain: number;
  /** Chance that a session at the right effort is still felt the next morning. */
  readonly sore: number;
};

export const REHEARSED = {
  quick: { says: 'gains fast, hardly sore', gain: 0.035, begins: 0.95, pain: 1, sore: 0.02 },
  average: { says: 'gains steadily', gain: 0.018, begins: 0.85, pain: 1.5, sore: 0.06 },
  sore: { says: 'gains steadily, often sore', gain: 0.015, begins: 0.85, pain: 2.6, sore: 0.22 },
  patchy: { says: 'does half of it', gain: 0.018, begins: 0.5, pain: 1.5, sore: 0.06 },
} as const satisfies Record<string, RehearsedPatient>;
export type RehearsedKind = keyof typeof REHEARSED;
export const REHEARSED_KINDS = Object.keys(REHEARSED) as RehearsedKind[];
