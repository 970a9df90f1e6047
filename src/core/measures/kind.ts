import type { Margin } from './trials';

/** How a kind is filled in. */
export type MeasureForm =
  | 'trials'
  | 'choice'
  | 'offsets'
  | 'wedge'
  | 'cuff'
  | 'nerve'
  | 'body'
  | 'activities'
  | 'sections'
  | 'pressure'
  | 'photo';

export type Unit =
  | '°'
  | 'mm'
  | 's'
  | 'N'
  | 'of 50'
  | 'of 10'
  | '%'
  | 'days'
  | 'nights'
  | 'mmHg'
  | '';

/** The steps of measuring, in the order of the visit. */
export const MEASURE_STEPS = {
  posture: 'Look from the side',
  below: 'Held from below?',
  range: 'Range of movement',
  control: 'Endurance and control',
  strength: 'Strength',
  nerve: 'Nerve and limb',
  function: 'Function',
  outside: 'Results from outside',
} as const;
export type MeasureStep = keyof typeof MEASURE_STEPS;

export const PROFILES = ['neck', 'back', 'posture'] as const;
export type Profile = (typeof PROFILES)[number];

/** What an episode's complaint is mainly of, as somebody chose it. */
export const EPISODE_AREAS = [...PROFILES, 'another'] as const;
export type EpisodeArea = (typeof EPISODE_AREAS)[number];
export const AREA_WORDS: Readonly<Record<EpisodeArea, string>> = {
  neck: 'the neck, with its head and arm',
  back: 'the back, with its leg',
  posture: 'posture',
  another: 'something else',
};

export const INSTRUMENTS = [
  'by eye',
  'ruler or tape',
  'inclinometer',
  'phone sensor',
  'push dynamometer',
  'air cuff',
  'stopwatch',
  'photo',
  'questionnaire',
  'examination',
  'from another clinic',
] as const;
export type InstrumentName = (typeof INSTRUMENTS)[number];

export const POSITIONS = ['sitting', 'standing', 'lying', 'face down', 'on the side'] as const;
export type Position = (typeof POSITIONS)[number];

/** What is known of a minimal detectable change, and where from. */
export type Detectable = { readonly margin: Margin | null; readonly source: string };

export type MeasureKind = {
  readonly name: string;
  readonly unit: Unit;
  readonly form: MeasureForm;
  readonly step: MeasureStep;
  readonly sided: boolean;
  /** Trials the trade takes. */
  readonly trials: 1 | 3;
  /** Possible values, in the unit. */
  readonly range: readonly [number, number];
  readonly better: 'more' | 'less' | 'neither';
  /** Complaints that need it first. */
  readonly first: readonly Profile[];
  readonly position: Position;
  readonly instrument: InstrumentName;
  readonly detectable: Detectable;
  /** Trials further apart than this ask for another. Common practice, no source. */
  readonly agree?: Margin;
  readonly norm?: { readonly value: number; readonly source: string };
  readonly options?: readonly string[];
  /** How it is done, in a line. */
  readonly how?: string;
};
