import type { BoutMode, DirectionName, DoseNeeds, Sides } from '../dose';
import type { MeasureKindId } from '../measures';
import type { Trait } from '../screen';

/** Each family is one flight of stairs: a patient stands on one of its steps. */
export const FAMILIES = [
  'Nod and tuck, lying',
  'Tuck, upright',
  'Tuck against resistance',
  'Neck hold',
  'Neck mobility',
  'Stretch',
  'Upper back',
  'Curve of the neck',
  'Shoulder blade',
  'Median nerve',
  'Ulnar nerve',
  'Radial nerve',
  'Sciatic nerve',
  'Femoral nerve',
  'Low back movement',
  'Bending back',
  'Bending forward',
  'Trunk endurance',
  'Limb strength',
  'Posture and breathing',
] as const;
export type Family = (typeof FAMILIES)[number];

export const POSITIONS = [
  'lying',
  'sitting',
  'standing',
  'face down',
  'hands and knees',
  'kneeling',
  'on the side',
] as const;
export type Position = (typeof POSITIONS)[number];

export const REGIONS = ['neck', 'upper back', 'shoulder', 'arm', 'low back', 'leg', 'all'] as const;
export type Region = (typeof REGIONS)[number];

/** What an exercise is for. */
export const PURPOSES = [
  'lengthen',
  'strengthen',
  'endure',
  'mobilise',
  'glide',
  'relax',
  're-educate',
] as const;
export type Purpose = (typeof PURPOSES)[number];

/** How a dose grows, by what the school does. Its rules stand in `progression`. */
export const SCHOOL_IDS = [
  'lengthen',
  'climb',
  'volume-load',
  'ascending',
  'descending-load',
  'adjustable',
  'descending-sets',
  'barriers',
  'angles',
  'pain-relief',
  'repeated',
] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];

/** What a home may lack, and is asked for. */
export const ASKED_PROPS = [
  'soft ball',
  'small firm ball',
  'flat band',
  'band anchor',
  'bench',
  'block',
  'neck wedge',
  'strap',
  'pad',
  'weights',
] as const;

/** What every home is taken to have. */
export const HOUSEHOLD = [
  'wall',
  'towel',
  'pillow',
  'pillowcase',
  'blanket',
  'chair',
  'T-shirt',
  'bed edge',
] as const;

/** Something the exercise needs; in order of preference, what will do instead and what that costs. */
export type PropNeed = {
  readonly prop: string;
  readonly orElse: readonly { readonly prop: string; readonly consequence: string }[];
};

/** What of a set-up is measured: the pad as thick as the gap, the blanket, the controlled angle. */
export type MeasuredSetUp = 'pad' | 'blanket' | 'looking up';

/** What a thing an exercise needs asks to be measured. */
const MEASURED_PROPS: Readonly<Partial<Record<string, MeasuredSetUp>>> = {
  pad: 'pad',
  'neck wedge': 'blanket',
};

/** The set-ups that the things an exercise needs ask for. */
export function setUpsOf(props: readonly Pick<PropNeed, 'prop'>[]): MeasuredSetUp[] {
  return props.flatMap(({ prop }) => MEASURED_PROPS[prop] ?? []);
}

/** What is told of an exercise: to the patient in plain words, second person and short, and what the clinician watches for. */
export type ExerciseWords = {
  /** How to do it, in order. */
  readonly steps: readonly string[];
  /** Short reminders while doing it. */
  readonly cues: readonly string[];
  /** What goes wrong, each with its fix. */
  readonly faults: Readonly<Record<string, string>>;
  /** Where and what should be felt. */
  readonly feel: string;
  /** Discomfort that is normal. */
  readonly normal: string;
  /** What to stop for, beyond the signs that stop every exercise. */
  readonly stop: string;
  /** What the clinician watches for, and cautions. */
  readonly watch: string;
};

/** An exercise as it is chosen, dosed and reckoned with. */
export type Exercise = {
  /** Stable; never shown. */
  readonly id: string;
  /** The drawing of a clinic's own exercise, by its id; one that ships is drawn by its own id. */
  readonly drawing?: string | undefined;
  readonly name: string;
  readonly family: Family;
  /** Place within the family, 1 the easiest. */
  readonly rung: number;
  /** The ladder it is a step of, by what its steps keep; null where it stands beside the stairs. */
  readonly ladder: string | null;
  readonly position: Position;
  readonly region: Region;
  readonly purpose: Purpose;
  /** Muscles or structure worked on, in plain anatomy. */
  readonly muscles: readonly string[];
  /** What precautions look at; what the dose adds is not among them. */
  readonly traits: readonly Trait[];
  /** What a bout of a written length is. */
  readonly mode: BoutMode;
  readonly needs: DoseNeeds;
  readonly props: readonly PropNeed[];
  /** What is done on each side, in words; null where it has no sides. */
  readonly sides: Sides | null;
  /** Its directions by name, in the order they are done; empty where it names none. */
  readonly directions: readonly DirectionName[];
  /** Where its sides, directions or angles lie, for the clinician; empty where it has none. */
  readonly ways: string;
  /** A usual dose to start from. Common practice, no source. */
  readonly usualDose: string;
  /** Where a school starts it, if not by its own rule. Common practice, no source. */
  readonly doses: Readonly<Partial<Record<SchoolId, string>>>;
  /**
   * How far its own method goes, whatever the school: the holds it climbs through, seconds, the last of
   * them its end, and the most times a day; left out where the trade's ladders go on. Common practice,
   * no source.
   */
  readonly growth?:
    | {
        readonly holds: readonly number[];
        readonly timesADay: number;
        /** A weight can be added to it where it has none; a band is among what it needs. */
        readonly carriesLoad: boolean;
      }
    | undefined;
  /** The measured maximum its effort is a share of; null where there is none. */
  readonly strength: MeasureKindId | null;
  /** What of its set-up is measured of the patient. */
  readonly setUps: readonly MeasuredSetUp[];
  /** Other words a clinician may type to find it. */
  readonly keywords: readonly string[];
};

/**
 * An exercise with its words, as it is taught. A version of a programme keeps a copy of it, so that
 * editing it here changes nothing already sent.
 */
export type WordedExercise = Exercise & ExerciseWords;

/** What every search looks at. */
export function searchWords(exercise: Exercise): string[] {
  const { family, position, region, purpose, muscles, props, keywords } = exercise;
  return [
    family,
    position,
    region,
    purpose,
    ...muscles,
    ...props.map(({ prop }) => prop),
    ...keywords,
  ];
}
