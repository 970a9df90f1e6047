import type { BoutMode, DoseNeeds } from '@/core/dose';

export const FAMILIES = [
  'Nod and tuck',
  'Isometric hold',
  'Stretch',
  'Mobility',
  'Shoulder blade',
  'Nerve glide',
  'Low back',
] as const;
export type Family = (typeof FAMILIES)[number];

export const POSITIONS = ['lying', 'sitting', 'standing', 'face down', 'hands and knees'] as const;
export type Position = (typeof POSITIONS)[number];

/** What an exercise is for. */
export type Purpose = 'lengthen' | 'strengthen' | 'endure' | 'mobilise' | 'glide' | 're-educate';

/**
 * One exercise of the catalogue. The wording for the patient is plain, second person and short;
 * a version of a programme keeps a copy of it, so that editing it here changes nothing already sent.
 */
export type Exercise = {
  /** Stable; never shown. */
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  /** Place within the family, 1 the easiest. */
  readonly rung: number;
  readonly position: Position;
  readonly purpose: Purpose;
  /** What a bout of a written length is. */
  readonly mode: BoutMode;
  readonly needs: DoseNeeds;
  /** What the patient needs at home, with what will do instead. */
  readonly props: readonly { readonly prop: string; readonly orElse: readonly string[] }[];
  /** A usual dose to start from. Common practice, no source. */
  readonly usualDose: string;
  /** How to do it, in order. */
  readonly steps: readonly string[];
  /** Short reminders while doing it. */
  readonly cues: readonly string[];
  /** What the clinician watches for, and cautions. */
  readonly watch: string;
  /** Other words a clinician may type to find it. */
  readonly keywords: readonly string[];
};
