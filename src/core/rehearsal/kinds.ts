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
  /** Chance that a session, and the morning after it, are told of. */
  readonly tells: number;
  /** So many times what the first dose asks always flares; null where nothing does. */
  readonly provokedAt: number | null;
  /** Does so many times what is asked. */
  readonly overdoes: number;
  /** Days of a bad spell in which everything hurts, from the first on; null without one. */
  readonly spell: { readonly from: number; readonly days: number } | null;
};

const STEADY: Omit<RehearsedPatient, 'says'> = {
  gain: 0.018,
  begins: 0.85,
  pain: 1.5,
  sore: 0.06,
  tells: 1,
  provokedAt: null,
  overdoes: 1,
  spell: null,
};

/** Those a clinician sees a school tried on. */
export const REHEARSED = {
  quick: {
    ...STEADY,
    says: 'gains fast, hardly sore',
    gain: 0.035,
    begins: 0.95,
    pain: 1,
    sore: 0.02,
  },
  average: { ...STEADY, says: 'gains steadily' },
  sore: { ...STEADY, says: 'gains steadily, often sore', gain: 0.015, pain: 2.6, sore: 0.22 },
  patchy: { ...STEADY, says: 'does half of it', begins: 0.5 },
} as const satisfies Record<string, RehearsedPatient>;
export type RehearsedKind = keyof typeof REHEARSED;
export const REHEARSED_KINDS = Object.keys(REHEARSED) as RehearsedKind[];

/** The harder ones that every school is held to as well. */
export const HARDER = {
  provoked: { ...STEADY, says: 'flares at twice the first dose', provokedAt: 2, sore: 0.02 },
  forgetful: { ...STEADY, says: 'does it, and tells every third time', tells: 0.35 },
  silent: { ...STEADY, says: 'does it, and never tells', tells: 0 },
  overdoing: { ...STEADY, says: 'does half as much again', overdoes: 1.6, sore: 0.12 },
  spell: { ...STEADY, says: 'a bad fortnight in the fourth week', spell: { from: 21, days: 14 } },
  unhurt: { ...STEADY, says: 'all goes well', gain: 0.05, begins: 1, pain: 0, sore: 0 },
} as const satisfies Record<string, RehearsedPatient>;
export type HarderKind = keyof typeof HARDER;

/** Every made-up patient by name. */
export const PATIENTS: Readonly<Record<RehearsedKind | HarderKind, RehearsedPatient>> = {
  ...REHEARSED,
  ...HARDER,
};
export type PatientKind = keyof typeof PATIENTS;
export const PATIENT_KINDS = Object.keys(PATIENTS) as PatientKind[];
