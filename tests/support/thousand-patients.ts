import { NO_SETTINGS, SCHOOLS, beyondBounds, schoolsFor, startDose } from '@/core/school';
import { randomLcg, randomNormal } from 'd3';
import { EXERCISES } from '@/catalogue';
import { nextRungIn, previousRungIn } from '@/core/choose';
import { type Dose, formatDose, parseDose } from '@/core/dose';
import { type Exercise, SCHOOL_IDS, type SchoolId } from '@/core/exercise';
import { PATIENT_KINDS, type PatientKind, type RehearsalFacts } from '@/core/rehearsal';
import { PRECAUTIONS, type PrecautionId } from '@/core/screen';

/** Made-up patients by their number: who they are, what they begin with, what they own and must mind. */
export const chanceOf = (seed: number) => {
  const source = randomLcg(seed);
  return { fraction: source, normal: randomNormal.source(source)(0, 1) };
};
const rungs = { nextRung: nextRungIn(EXERCISES), previousRung: previousRungIn(EXERCISES) };

/** Other doses a line may begin with, where its school goes on from them. */
const STARTS = ['x10 hold 1s each side', '3x10-15s gap 15s', '2x8 2kg rest 60s', 'x1 hold 3s 40%'];
const OWNED: readonly (readonly number[])[] = [[], [1, 2, 4], [2, 2.5, 3, 4, 5, 6, 8, 10]];
/** Every other patient has none; of the others each precaution has its turn. */
const PRECAUTION_IDS = Object.keys(PRECAUTIONS) as PrecautionId[];
const precautionsOf = (nth: number): readonly PrecautionId[] => {
  const id = PRECAUTION_IDS[Math.floor(nth / 2) % PRECAUTION_IDS.length];
  return nth % 2 === 0 || id === undefined || id === 'everybody' ? [] : [id];
};

export const pairs = EXERCISES.flatMap((exercise) =>
  schoolsFor(exercise).map((id) => ({ exercise, id })),
);
/** The schools in turn, each through its own exercises: one has a hundred of them, another a single one. */
const bySchool = SCHOOL_IDS.map((school) => pairs.filter(({ id }) => id === school));
function pairOf(nth: number): (typeof pairs)[number] {
  const own = bySchool[nth % bySchool.length] ?? pairs;
  return own[(Math.floor(nth / bySchool.length) * 37) % own.length] as (typeof pairs)[number];
}

export type MadePatient = {
  readonly name: string;
  readonly kind: PatientKind;
  readonly id: SchoolId;
  readonly facts: RehearsalFacts;
  readonly seed: number;
};

export function patient(nth: number): MadePatient {
  const { exercise, id } = pairOf(nth);
  const kind = PATIENT_KINDS[nth % PATIENT_KINDS.length] as PatientKind;
  const dose = startOf(exercise, id, nth);
  return {
    name: `${nth}: ${kind}, ${exercise.id} by ${id} from ${formatDose(dose)}`,
    kind,
    id,
    seed: ((nth * 61) % 9973) / 9973,
    facts: {
      exercise,
      dose,
      school: { id, settings: NO_SETTINGS },
      ...rungs,
      owned: OWNED[nth % OWNED.length] ?? [],
      precautions: precautionsOf(nth),
    },
  };
}

export function startOf(exercise: Exercise, id: SchoolId, nth: number): Dose {
  const own = [startDose(id, exercise, NO_SETTINGS), parsed(exercise.usualDose)];
  const other = STARTS.map(parsed);
  const all = [...own, ...own, ...other].filter(
    (dose) => SCHOOLS[id].reads(dose) && beyondBounds(SCHOOLS[id], dose) === null,
  );
  return all[nth % all.length] ?? (own[0] as Dose);
}

function parsed(line: string): Dose {
  const read = parseDose(line);
  if (!read.ok) throw new Error(line);
  return read.value;
}
