import type { LocalDate, Range, Seconds, Weekday } from '../units';

/**
 * One dose, as the dose line writes it. An absent property was not written: what it then means
 * is decided by `assumptions` and the paces, never by the parser.
 */
export type Dose = {
  readonly head: Head;
  /** Seconds held per repetition; a bout head carries its own length instead. */
  readonly hold?: Range<Seconds>;
  readonly tempo?: Tempo;
  readonly breath?: Breath;
  /** The block is repeated in all of so many directions, or in these. */
  readonly directions?: number | readonly DirectionName[];
  readonly stations?: Stations;
  readonly load?: Load;
  readonly band?: Band;
  /** Pause between repetitions. */
  readonly gap?: Range<Seconds>;
  /** Pause between blocks (sets, directions, angles). */
  readonly rest?: Range<Seconds>;
  readonly side?: Side;
  readonly effort?: Effort;
  readonly tuck?: Tuck;
  /** The first sets that are outside the working volume. */
  readonly warmUpSets?: number;
  readonly times?: Times;
  readonly days?: Days;
  /** Day 1 is the anchor date. */
  readonly fromDay?: number;
  readonly until?: Until;
};

export type Head =
  /** One set of bouts of a written length: 10x10s, 30s. */
  | { readonly kind: 'bouts'; readonly bouts: Range; readonly span: Range<Seconds> }
  /** Sets of repetitions: 3x10, x10. */
  | { readonly kind: 'sets'; readonly sets: Range; readonly reps: Range }
  /** The repetitions of each set in turn: 6-4-2. */
  | { readonly kind: 'pyramid'; readonly reps: readonly (number | 'max')[] };

/** Where a push or a glide goes; an exercise declares which of them it has, in its order. */
export const DIRECTION_NAMES = [
  'front',
  'back',
  'left',
  'right',
  'turn left',
  'turn right',
] as const;
export type DirectionName = (typeof DIRECTION_NAMES)[number];

/** What an exercise's sides and directions are, for whoever reads, plays or draws its dose. */
export type Ways = {
  /** Its directions by name, in its order; empty where it names none. */
  readonly directions: readonly DirectionName[];
  /** What is done on each side, in words; null where it has no sides. */
  readonly sides: Sides | null;
};

/**
 * What the side of an exercise names, by the trade's habit: a stretch the side that is lengthened, a
 * hold the side that works, a glide or a lift the limb, a turn where the face goes.
 */
export const SIDES_NAME = ['lengthened', 'works', 'limb', 'turned'] as const;
export type SidesName = (typeof SIDES_NAME)[number];
export type Sides = {
  readonly name: SidesName;
  /** In full: "stretches the left side: ear towards the right shoulder". */
  readonly left: string;
  readonly right: string;
};

export const NO_WAYS: Ways = { directions: [], sides: null };

export type Tempo =
  /** Seconds of movement per repetition, out and back together. */
  { readonly kind: 'move'; readonly seconds: Range<Seconds> } | { readonly kind: 'slow' };

/** Seconds in, held and out. */
export type Breath = { readonly in: number; readonly hold: number; readonly out: number };

export type Stations =
  | { readonly kind: 'angles'; readonly count: number }
  /** Steps inside one repetition, with no pause between. */
  | { readonly kind: 'barriers'; readonly count: number }
  | { readonly kind: 'degrees'; readonly degrees: readonly number[] };

export type Load =
  | {
      readonly kind: 'weight';
      readonly unit: 'kg' | 'lb';
      /** One for all sets or one per set; 'adj' is set during the session. */
      readonly perSet: readonly (number | 'adj')[];
    }
  | {
      readonly kind: 'percent';
      readonly of: '10rm' | '1rm';
      readonly perSet: readonly number[];
    };

export type BandLevel = 'light' | 'medium' | 'firm';
export type Band = {
  readonly band:
    | { readonly kind: 'level'; readonly level: BandLevel }
    | { readonly kind: 'named'; readonly name: string };
  readonly stretchPercent?: number;
};

export type Side = 'left' | 'right' | 'each' | 'alternating';

export type Effort =
  /** Percent of the maximum push. */
  | { readonly kind: 'percent'; readonly range: Range }
  /** Perceived effort, 0–10. */
  | { readonly kind: 'perceived'; readonly range: Range };

/** How far the head is slid back. */
export type Tuck =
  /** Percent of the patient's own full tuck, 1–100. */
  | { readonly kind: 'percent'; readonly range: Range }
  /** Millimetres back from the slouch. */
  | { readonly kind: 'mm'; readonly range: Range };

export type Times =
  /** `least` are due, `most` are allowed. */
  | { readonly kind: 'per day'; readonly times: Range }
  /** By the wall clock, from waking to sleep. */
  | { readonly kind: 'every'; readonly minutes: number }
  | { readonly kind: 'as needed' }
  | { readonly kind: TiedTime };

/** Times tied to something else of the day, once each. */
export const TIED_TIMES = [
  'on waking',
  'after waking',
  'before training',
  'after training',
  'before hands-on care',
  'after hands-on care',
] as const;
export type TiedTime = (typeof TIED_TIMES)[number];

export type Days =
  | { readonly kind: 'daily' }
  /** Every `n` days counted from the anchor date; every other day is 2. */
  | { readonly kind: 'every'; readonly n: number }
  | { readonly kind: 'weekdays'; readonly weekdays: readonly Weekday[] };

export type Until =
  /** The last day, counted so that the anchor date is day 1. */
  | { readonly kind: 'day'; readonly day: number }
  | { readonly kind: 'date'; readonly date: LocalDate }
  | { readonly kind: 'review' };

/**
 * The grammar's number, stored with every version so that old text keeps its meaning. In grammar 1
 * the side of some exercises was the way the drawing moved; since 2 it is the trade's habit.
 */
export const GRAMMAR = 2;
