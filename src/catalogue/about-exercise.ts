import { SCHOOLS } from '@/core/school';
import { type Certainty, certaintyOf } from './exercises/certainty';
import { sayAllToClinician } from './messages/clinician';
import { READY_PROGRAMMES } from './programmes';
import { waysOf } from './ways';
import type { WordedCatalogue } from './wording';
import { nextRungIn, previousRungIn } from '@/core/choose';
import { formatDose, parseDose, readDose } from '@/core/dose';
import {
  type Exercise,
  type SchoolId,
  SCHOOL_IDS,
  type WordedExercise,
  lineFlags,
} from '@/core/exercise';
import { plannedLine } from '@/core/programme';
import { type Disagreement, disagreementsOn } from '@/core/progression';
import { FOR_EVERYBODY, PRECAUTIONS, type PrecautionId, TRAITS } from '@/core/screen';
import { sessionSeconds, sessionTimeline } from '@/core/timeline';
import { formatRange, localDate } from '@/core/units';

/** One dose of an exercise, read back, with the true time of its session. */
export type DoseShown = {
  readonly school: string;
  readonly dose: string;
  readonly words: string;
  readonly time: string;
};

/** Everything a colleague would ask of an exercise. */
export type AboutExercise = {
  readonly exercise: WordedExercise;
  readonly doses: readonly DoseShown[];
  /** Whom it is flagged for, and why. */
  readonly flaggedFor: readonly { readonly who: string; readonly why: readonly string[] }[];
  readonly disagreements: readonly Disagreement[];
  readonly certainty: Certainty;
  readonly easier: Exercise | null;
  readonly harder: Exercise | null;
  /** Names of ready programmes that hold it. */
  readonly programmes: readonly string[];
};

/** Doses have no days of their own here; any day will do. */
const ANY_DAY = localDate('2026-01-01');

function doseShown(exercise: Exercise, school: string, text: string): DoseShown[] {
  const read = parseDose(text);
  if (!read.ok) return [];
  const dose = read.value;
  const time = sessionSeconds(sessionTimeline([plannedLine('x', exercise, dose, ANY_DAY)]));
  return [
    {
      school,
      dose: formatDose(dose),
      words: sayAllToClinician(
        readDose(dose, exercise.mode, waysOf({ exerciseId: exercise.id, exercise })),
      ),
      time: formatRange(time),
    },
  ];
}

/** Null where the catalogue has no such exercise. */
export function aboutExercise({ all, byId }: WordedCatalogue, id: string): AboutExercise | null {
  const exercise = byId(id);
  if (!exercise) return null;
  const schools = SCHOOL_IDS.flatMap((school: SchoolId) => {
    const text = exercise.doses[school];
    return text === undefined ? [] : doseShown(exercise, SCHOOLS[school].name, text);
  });
  const flaggedFor = (Object.keys(PRECAUTIONS) as PrecautionId[])
    .filter((one) => !FOR_EVERYBODY.includes(one))
    .map((one) => ({
      who: PRECAUTIONS[one].name,
      why: [
        ...new Set(
          lineFlags([one], exercise, null)
            .filter(({ precaution }) => precaution === one)
            .map(({ trait }) => TRAITS[trait]),
        ),
      ],
    }))
    .filter(({ why }) => why.length > 0);
  return {
    exercise,
    doses: [...doseShown(exercise, 'Usual', exercise.usualDose), ...schools],
    flaggedFor,
    disagreements: disagreementsOn(exercise.family),
    certainty: certaintyOf(exercise),
    easier: previousRungIn(all)(exercise),
    harder: nextRungIn(all)(exercise),
    programmes: READY_PROGRAMMES.filter(({ lines }) =>
      lines.some((line) => line.exerciseId === exercise.id),
    ).map(({ name }) => name),
  };
}
