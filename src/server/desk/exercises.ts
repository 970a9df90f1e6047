import Papa from 'papaparse';
import { type WordedCatalogue, wordedCatalogueOf } from '@/catalogue/wording';
import {
  EXERCISE_COLUMNS,
  LATER_COLUMNS,
  type RowProblem,
  exerciseRow,
  readExercises,
} from '@/core/exchange';
import { type Exercise, FAMILIES, type WordedExercise } from '@/core/exercise';
import {
  type OwnExerciseDraft,
  type OwnExerciseSave,
  exerciseDraft,
  figureFault,
  ownExercise,
} from '@/core/records';
import type { Instant } from '@/core/schedule';
import type { ClinicId, ExerciseId } from '@/core/units';
import {
  type Statement,
  audit,
  clinicExerciseIds,
  clinicExercises,
  clinicExercisesById,
  forgetOwnDraft,
  guard,
  keepOwnFigure,
  offersExercise,
  putClinicExercise,
  retireClinicExercise,
  write,
} from '@/db';
import { type SignedIn, actorOf, stillMay } from '../access';
import { breather } from '../breathe';
import { now } from '../clock';
import { eachReadable } from '../each-readable';
import { NOT_FOUND, Problem } from '../problem';
import { writeAs } from '../visit/write-as';
import { drawingIdOf, figuresFor } from './own-figures';

/** The clinic's own exercises, by family and step. */
export async function ownExercises(clinicId: ClinicId): Promise<WordedExercise[]> {
  const rows = await clinicExercises(clinicId);
  return rows.map(({ id, body }) => ownExercise(id, body)).sort(byFamilyAndStep);
}

function byFamilyAndStep(a: Exercise, b: Exercise): number {
  const families = FAMILIES.indexOf(a.family) - FAMILIES.indexOf(b.family);
  return families || a.rung - b.rung || a.name.localeCompare(b.name);
}

/** What this clinic chooses from: the exercises that ship and its own. */
export async function catalogueFor(clinicId: ClinicId): Promise<WordedCatalogue> {
  return wordedCatalogueOf(await ownExercises(clinicId));
}

/**
 * The same without what cannot be read: for what is reckoned of all of the clinic's patients, which one
 * spoilt exercise must not keep from anybody. Its page, and the desk, name it.
 */
export async function readableCatalogueFor(clinicId: ClinicId): Promise<WordedCatalogue> {
  const { found } = await eachReadable(await clinicExerciseIds(clinicId), (ids) =>
    clinicExercisesById(clinicId, ids),
  );
  const own = [...found.values()].map(({ id, body }) => ownExercise(id, body));
  return wordedCatalogueOf(own.sort(byFamilyAndStep));
}

/** Adds an exercise of the clinic's own, or changes one. */
export async function saveExercise(member: SignedIn, { id, exercise }: OwnExerciseSave) {
  const { clinicId } = member;
  const all = (await catalogueFor(clinicId)).all;
  const others = all.filter((other) => other.id !== id);
  const wrong = exercise.figure && figureFault(exercise.figure);
  if (wrong) throw new Problem(400, `The drawing, ${wrong}`, ['exercise', 'figure']);
  const name = exercise.name.toLowerCase();
  if (others.some((other) => other.name.toLowerCase() === name))
    throw new Problem(409, 'Another exercise has this name: choose one that tells them apart.', [
      'exercise',
      'name',
    ]);
  await writeAs(member, 'practitioner', {
    verb: 'saved',
    subject: { kind: 'exercise', id },
    statements: (at) => [
      ...putExercise(member, {
        id,
        draft: exercise,
        drawn: all.find((one) => one.id === id)?.drawing,
        at,
      }),
      forgetOwnDraft(clinicId, member.id, 'exercise'),
    ],
  });
}

type Put = {
  readonly id: ExerciseId;
  readonly draft: OwnExerciseDraft;
  /** The drawing it has: kept by a draft that says nothing of it. */
  readonly drawn: string | undefined;
  readonly at: Instant;
};

/** An exercise and its drawing. */
export function putExercise(
  { clinicId, id: authorId }: SignedIn,
  { id, draft, drawn, at }: Put,
): Statement[] {
  const { figure, ...words } = draft;
  const drawing = figure ? drawingIdOf(figure) : figure === null ? undefined : drawn;
  const body = drawing === undefined ? words : { ...words, drawing };
  return [
    ...(figure && drawing !== undefined
      ? [keepOwnFigure({ clinicId, id: drawing, body: figure, authorId, createdAt: at })]
      : []),
    putClinicExercise({ clinicId, id, body, authorId, updatedAt: at }),
  ];
}

/** Offers an exercise of the clinic's own no more; programmes that were sent keep it. */
export async function retireExercise(member: SignedIn, { id }: { id: string }): Promise<void> {
  const own = await clinicExercises(member.clinicId);
  if (!own.some((one) => one.id === id)) throw new Problem(404, NOT_FOUND);
  return writeAs(member, 'practitioner', {
    verb: 'retired',
    subject: { kind: 'exercise', id },
    statements: (at) => [
      guard('offered', offersExercise(member.clinicId, id)),
      retireClinicExercise(member.clinicId, id, at),
    ],
  });
}

export type Imported = { readonly taken: number; readonly problems: readonly RowProblem[] };

/**
 * Takes exercises in from a table or a JSON list: all of them, or with any problem none. One whose
 * name the clinic has already replaces that one.
 */
export async function importExercises(
  member: SignedIn,
  { format, text }: { format: 'csv' | 'json'; text: string },
): Promise<Imported> {
  const file = format === 'csv' ? tableRows(text) : jsonRows(text);
  if (file.problem) return { taken: 0, problems: [file.problem] };
  const { rows, first } = file;
  const { drafts, problems } = readExercises(rows, first);
  const { clinicId } = member;
  const catalogue = await catalogueFor(clinicId);
  const known = new Map(catalogue.all.map((one) => [one.name.toLowerCase(), one]));
  const own = new Set((await clinicExercises(clinicId)).map(({ id }) => id));
  const clashes = drafts.flatMap(({ name }, index): RowProblem[] => {
    const there = known.get(name.toLowerCase());
    return there && !own.has(there.id)
      ? [{ row: first + index, say: `name: “${name}” is an exercise that ships; choose another.` }]
      : [];
  });
  const misdrawn = await faultsOfFigures(drafts, first);
  if (problems.length > 0 || clashes.length > 0 || misdrawn.length > 0)
    return { taken: 0, problems: [...problems, ...clashes, ...misdrawn] };
  const at = now();
  await write(() => [
    stillMay(member, 'practitioner'),
    ...drafts.flatMap((draft) => {
      const there = known.get(draft.name.toLowerCase());
      const id = there?.id ?? crypto.randomUUID();
      return putExercise(member, { id, draft, drawn: there?.drawing, at });
    }),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: `imported ${drafts.length} exercises into`,
      subject: { kind: 'clinic', id: clinicId },
    }),
  ]);
  return { taken: drafts.length, problems: [] };
}

/** Rows whose drawing shows what no body does. Each is reckoned joint by joint, so others are let in. */
async function faultsOfFigures(drafts: readonly OwnExerciseDraft[], first: number) {
  const breathe = breather();
  const problems: RowProblem[] = [];
  for (const [index, { figure }] of drafts.entries()) {
    await breathe();
    const say = figure && figureFault(figure);
    if (say) problems.push({ row: first + index, say: `figure: ${say}` });
  }
  return problems;
}

/** What a file holds, its first row as a person counts it in that file; or why it cannot be read. */
type Rows = { rows: readonly unknown[]; first: number; problem: null } | { problem: RowProblem };

function tableRows(text: string): Rows {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim(),
    // The sign our own export puts before what a spreadsheet would take for a formula.
    transform: (cell) => cell.replace(/^'(?=[=+\-@\t\r])/, ''),
  });
  const missing = EXERCISE_COLUMNS.filter(
    (column) => !LATER_COLUMNS.includes(column) && !parsed.meta.fields?.includes(column),
  );
  const fail = (row: number, say: string): Rows => ({ problem: { row, say } });
  if (missing.length > 0) return fail(1, `The heading lacks: ${missing.join(', ')}.`);
  const [error] = parsed.errors.filter(({ code }) => code !== 'UndetectableDelimiter');
  if (error)
    return fail((error.row ?? 0) + 2, 'This row does not have as many cells as the heading.');
  return { rows: parsed.data, first: 2, problem: null };
}

function jsonRows(text: string): Rows {
  try {
    const read = JSON.parse(text) as unknown;
    if (Array.isArray(read)) return { rows: read, first: 1, problem: null };
  } catch {
    // Told below, as for any other text that is no list.
  }
  return { problem: { row: 1, say: 'This is not a JSON list of exercises.' } };
}

/** All exercises of the clinic's catalogue as a file; the shipped ones serve as a pattern. */
export async function exportExercises(
  clinicId: ClinicId,
  format: 'csv' | 'json',
  of: 'own' | 'all',
): Promise<string> {
  const exercises =
    of === 'own' ? await ownExercises(clinicId) : (await catalogueFor(clinicId)).all;
  const drafts = exercises.map(exerciseDraft);
  if (format === 'json') return jsonList(await withFigures(clinicId, exercises, drafts));
  return Papa.unparse(
    { fields: [...EXERCISE_COLUMNS], data: drafts.map(exerciseRow) },
    // A cell that begins like a formula is shown as text by spreadsheets.
    { escapeFormulae: true, newline: '\r\n' },
  );
}

/** Drafts with the drawings of the clinic's own exercises; a shipped one is drawn wherever it is. */
export async function withFigures(
  clinicId: ClinicId,
  exercises: readonly Exercise[],
  drafts: readonly OwnExerciseDraft[],
) {
  const own = exercises.map(({ id, drawing }) => ({ exerciseId: id, drawing }));
  const figures = await figuresFor(clinicId, own);
  return drafts.map((draft, index) => {
    const drawn = own[index];
    return drawn?.drawing ? { ...draft, figure: figures(drawn) } : draft;
  });
}

/** One exercise on a line: a drawing spread out over a thousand lines would be no easier to read. */
const jsonList = (rows: readonly unknown[]) =>
  `[\n${rows.map((row) => JSON.stringify(row)).join(',\n')}\n]\n`;
