import type { BoutMode, Dose } from '../dose';
import type { LocalDate, Range, Seconds } from '../units';

/** The pack's own format; the device drops a pack of another one. */
export const PACK_FORMAT = 1;

/** One exercise of a session, worded for the patient. */
export type PackLine = {
  readonly lineage: string;
  readonly name: string;
  readonly steps: readonly string[];
  readonly cues: readonly string[];
  readonly needs: string;
  /** The dose in plain words. */
  readonly words: string;
  readonly dose: Dose;
  readonly mode: BoutMode;
  readonly position: string;
  /** Share of today's due done so far, 0–1, as the clinic knows it. */
  readonly share: number;
};

export type PackSession = {
  readonly key: string;
  readonly label: string;
  readonly time: Range<Seconds>;
  /** Indexes into the pack's lines. */
  readonly lines: readonly number[];
  readonly done: boolean;
};

/**
 * Everything the patient's page needs, in one document, so that it can live on the device.
 * The player builds its segments from the doses with the same function that told the time.
 */
export type PatientPack = {
  readonly format: typeof PACK_FORMAT;
  readonly patientId: string;
  readonly name: string;
  readonly clinic: {
    readonly name: string;
    readonly phone: string;
    readonly emergencyText: string;
  };
  readonly today: LocalDate;
  readonly dateText: string;
  readonly paused: 'no' | 'by the clinic' | 'after a stop';
  readonly programme: {
    readonly id: string;
    readonly version: number;
    readonly rounds: number;
  } | null;
  readonly lines: readonly PackLine[];
  readonly sessions: readonly PackSession[];
  /** Sessions a patient may add when needed; never due. */
  readonly extra: PackSession | null;
  /** Why nothing is due, when nothing is. */
  readonly restText: string;
  readonly stopSigns: readonly string[];
  readonly normalSigns: string;
  readonly caution: string;
};
