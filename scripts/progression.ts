import { NO_SETTINGS, SCHOOLS, startDose } from '@/core/school';
import { randomLcg, randomNormal } from 'd3';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { EXERCISES } from '@/catalogue';
import { nextRungIn, previousRungIn } from '@/core/choose';
import { type Dose, formatDose, heldSeconds, parseDose, repsOf } from '@/core/dose';
import { type Exercise, SCHOOL_IDS, type SchoolId } from '@/core/exercise';
import { isDanger, isGrowth } from '@/core/progression';
import {
  PATIENTS,
  PATIENT_KINDS,
  type PatientKind,
  type WholeCourse,
  rehearseWhole,
} from '@/core/rehearsal';

/**
 * How each school ends after twelve weeks of every made-up patient: `npm run progression` writes
 * docs/progression.md.
 */
const WEEKS = 12;
/** Seeds a school and a patient are tried with; the table says the middle one. */
const SEEDS = [0.07, 0.19, 0.31, 0.47, 0.59, 0.73, 0.91];

/** A line that is typical of each school. */
const LINES: Readonly<Record<SchoolId, readonly [exercise: string, dose: string | null]>> = {
  lengthen: ['prone-neck-hold', null],
  climb: ['tuck-lying', null],
  'volume-load': ['straight-leg-raise', '3x10-15 2kg rest 60s each side every other day'],
  ascending: ['band-foot-push', '3x10 5/7.5/10kg rest 2min every other day'],
  'descending-load': ['band-foot-push', '3x10 10/7.5/5kg rest 2min every other day'],
  adjustable: ['band-foot-push', '10-6-max-max 15/22.5/30/adj kg rest 2min every other day'],
  'descending-sets': ['curl-up', null],
  barriers: ['side-neck-stretch', null],
  angles: ['knee-angle-hold', null],
  'pain-relief': ['shrug-hold', null],
  repeated: ['press-up', null],
};

function exerciseOf(id: string): Exercise {
  const found = EXERCISES.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
}

function startOf(school: SchoolId): { exercise: Exercise; dose: Dose } {
  const [id, line] = LINES[school];
  const exercise = exerciseOf(id);
  const read = line === null ? null : parseDose(line);
  if (read && !read.ok) throw new Error(read.say);
  return { exercise, dose: read ? read.value : startDose(school, exercise, NO_SETTINGS) };
}

function course(school: SchoolId, kind: PatientKind, seed: number): WholeCourse {
  const source = randomLcg(seed);
  return rehearseWhole(
    {
      ...startOf(school),
      school: { id: school, settings: NO_SETTINGS },
      nextRung: nextRungIn(EXERCISES),
      previousRung: previousRungIn(EXERCISES),
    },
    kind,
    WEEKS,
    { fraction: source, normal: randomNormal.source(source)(0, 1) },
  );
}

const workOf = (dose: Dose) => heldSeconds(dose)?.least ?? repsOf(dose).least;
const middle = <T>(values: readonly T[], by: (value: T) => number): T =>
  [...values].sort((a, b) => by(a) - by(b))[Math.floor(values.length / 2)] as T;

/** How one school ended with one patient: the middle of the seeds by the work it ended with. */
function ended(school: SchoolId, kind: PatientKind): string {
  const courses = SEEDS.map((seed) => course(school, kind, seed));
  const lastOf = ({ weeks }: WholeCourse) => weeks.at(-1);
  const one = middle(
    courses,
    (each) => (lastOf(each)?.rung ?? 0) * 10_000 + (lastOf(each)?.work ?? 0),
  );
  const last = lastOf(one);
  const end = one.days.at(-1);
  const flares = middle(courses, ({ moves }) => moves.filter(isDanger).length).moves.filter(
    isDanger,
  ).length;
  const grew = one.moves.filter(isGrowth);
  const growing = grew.at(-1);
  return [
    kind,
    end ? formatDose(end.dose) : '',
    end ? String(workOf(end.dose)) : '',
    last ? `${last.exercise}${last.rung > 0 ? ` (+${last.rung})` : ''}` : '',
    String(grew.length),
    String(flares),
    growing ? String(Math.ceil((growing.day + 1) / 7)) : '–',
  ].join(' | ');
}

const parts = SCHOOL_IDS.map((school) => {
  const { exercise, dose } = startOf(school);
  const rows = PATIENT_KINDS.map((kind) => `| ${ended(school, kind)} |`);
  return `## ${SCHOOLS[school].name}

${SCHOOLS[school].says} Begins with ${exercise.name}, \`${formatDose(dose)}\` (work ${workOf(dose)}).

| patient | ends at | work | exercise (steps up) | grew | eased off | last grew in week |
|---|---|---|---|---|---|---|
${rows.join('\n')}`;
});

writeFileSync(
  join(import.meta.dirname, '../docs/progression.md'),
  `# How each school of progression ends

Made-up patients through twelve weeks of each school, every proposal taken on the morning it comes, by the very function that proposes from real sessions (\`nextStep\`). Of ${SEEDS.length} chances the middle one by the work it ends with. Work is seconds held in a session, or repetitions where nothing is held; "eased off" counts steps back, days in between and stops. The patients' numbers are ours, no source: they show what the rules do, not what patients do. Made by \`npm run progression\`; what must hold of all of them is tested (\`src/core/rehearsal/thousand.test.ts\`).

${PATIENT_KINDS.map((kind) => `- **${kind}**: ${PATIENTS[kind].says}`).join('\n')}

${parts.join('\n\n')}
`,
);
