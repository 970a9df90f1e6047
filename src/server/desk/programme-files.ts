import { SHIPPED } from '@/catalogue';
import { programmeFileText, readProgrammeFile } from '@/core/exchange';
import {
  type ProgrammeFile,
  type ProgrammeFileOf,
  type ProgrammeFileTaken,
  type ProgrammePreview,
  type TemplateDraft,
  exerciseDraft,
  figureFault,
} from '@/core/records';
import type { ClinicId, ExerciseId } from '@/core/units';
import type { Statement } from '@/db';
import type { SignedIn } from '../access';
import { breather } from '../breathe';
import { NOT_FOUND, Problem } from '../problem';
import { now } from '../clock';
import { catalogueFor, ownExercises, putExercise, withFigures } from './exercises';
import { draftOfReady, saveTemplate, templateList } from './templates';

/** A programme without a patient as a file; null where there is none of this id. */
export async function programmeFile(
  clinicId: ClinicId,
  { of, id }: ProgrammeFileOf,
): Promise<{ readonly name: string; readonly text: string } | null> {
  const draft = of === 'ready' ? draftOfReady(id) : await templateOf(clinicId, id);
  if (!draft) return null;
  const own = await ownExercises(clinicId);
  const used = own.filter((one) => draft.lines.some(({ exerciseId }) => exerciseId === one.id));
  const catalogue = await catalogueFor(clinicId);
  const text = programmeFileText({
    name: draft.name,
    notes: draft.notes,
    rounds: draft.rounds,
    lines: draft.lines.map(({ exerciseId, dose, school = null, session = null }) => ({
      id: SHIPPED.byId(exerciseId) ? exerciseId : null,
      exercise: catalogue.byId(exerciseId)?.name ?? exerciseId,
      dose,
      school,
      session,
    })),
    exercises: await withFigures(clinicId, used, used.map(exerciseDraft)),
  });
  return { name: draft.name, text };
}

async function templateOf(clinicId: ClinicId, id: string) {
  return (await templateList(clinicId)).find((one) => one.id === id) ?? null;
}

/** Looks at a file; nothing is written. */
export async function previewProgramme(
  clinicId: ClinicId,
  text: string,
): Promise<ProgrammePreview> {
  const found = await placed(clinicId, text);
  if (found.kind === 'wrong') return found;
  const { file, own } = found;
  const names = (await templateList(clinicId)).map(({ name }) => name.toLowerCase());
  return {
    kind: 'right',
    name: file.name,
    nameTaken: names.includes(file.name.toLowerCase()),
    rounds: file.rounds,
    about: file.notes?.about ?? '',
    lines: file.lines.map(({ id, exercise, dose }) => ({
      exercise,
      dose,
      from: id !== null ? 'ships' : own.has(exercise.toLowerCase()) ? 'yours' : 'new',
    })),
  };
}

type Placed =
  | { readonly kind: 'wrong'; readonly problems: readonly string[] }
  | {
      readonly kind: 'right';
      readonly file: ProgrammeFile;
      /** The clinic's own exercises by their name in small letters. */
      readonly own: ReadonlyMap<string, ExerciseId>;
    };

/** A file against this clinic's catalogue: what ships must ship here too, and no name may clash. */
async function placed(clinicId: ClinicId, text: string): Promise<Placed> {
  const read = readProgrammeFile(text);
  if (!read.ok) return { kind: 'wrong', problems: read.problems };
  const { file } = read;
  const shipped = new Set(SHIPPED.all.map(({ name }) => name.toLowerCase()));
  const problems = [
    ...file.lines.flatMap(({ id, exercise }, at) =>
      id !== null && SHIPPED.byId(id) === null
        ? [`Line ${at + 1}: this installation has no exercise “${exercise}”. Update it first.`]
        : [],
    ),
    ...file.exercises.flatMap(({ name }) =>
      shipped.has(name.toLowerCase()) ? [`“${name}” is the name of an exercise that ships.`] : [],
    ),
  ];
  const breathe = breather();
  for (const { name, figure } of file.exercises) {
    await breathe();
    const say = figure && figureFault(figure);
    if (say) problems.push(`The drawing of “${name}”: ${say}`);
  }
  if (problems.length > 0) return { kind: 'wrong', problems };
  const own = new Map(
    (await ownExercises(clinicId)).map(({ id, name }) => [name.toLowerCase(), id]),
  );
  return { kind: 'right', file, own };
}

/**
 * Takes a programme in as a template, with the exercises that come along: all of it, or nothing. An
 * exercise whose name the clinic has already stays as the clinic wrote it. Twice changes nothing.
 */
export async function takeInProgramme(
  member: SignedIn,
  { id, name, text }: ProgrammeFileTaken,
): Promise<void> {
  const { clinicId } = member;
  const found = await placed(clinicId, text);
  if (found.kind === 'wrong') throw new Problem(400, found.problems.join(' '), ['text']);
  const { file, own } = found;
  const fresh = file.exercises
    .filter((draft) => !own.has(draft.name.toLowerCase()))
    .map((draft) => ({ id: crypto.randomUUID() as ExerciseId, draft }));
  const idOf = new Map([
    ...own,
    ...fresh.map(({ id: one, draft }) => [draft.name.toLowerCase(), one] as const),
  ]);
  const at = now();
  const template: TemplateDraft = {
    id,
    name,
    rounds: file.rounds,
    lines: file.lines.map(({ id: shipped, exercise, dose, school, session }) => ({
      exerciseId: shipped ?? idOf.get(exercise.toLowerCase()) ?? '',
      dose,
      school,
      session,
    })),
    ...(file.notes ? { notes: { ...file.notes, cautions: [...file.notes.cautions] } } : {}),
  };
  const first: readonly Statement[] = fresh.flatMap(({ id: one, draft }) =>
    putExercise(member, { id: one, draft, drawn: undefined, at }),
  );
  await saveTemplate(member, template, {
    first,
    ids: new Set(fresh.map(({ id: one }) => one)),
  });
}

/** Keeps a ready programme as a template of the clinic's own, to be changed from there. */
export async function copyReady(
  member: SignedIn,
  { id, readyId }: { id: string; readyId: string },
): Promise<void> {
  const draft = draftOfReady(readyId);
  if (!draft) throw new Problem(404, NOT_FOUND);
  const others = (await templateList(member.clinicId)).filter((one) => one.id !== id);
  const names = new Set(others.map(({ name }) => name.toLowerCase()));
  await saveTemplate(member, { ...draft, id, name: freeName(draft.name, names) });
}

/** @example freeName('Ten by ten', new Set(['ten by ten'])) // 'Ten by ten (2)' */
function freeName(name: string, taken: ReadonlySet<string>): string {
  for (let nth = 1; ; nth += 1) {
    const one = nth === 1 ? name : `${name} (${nth})`;
    if (!taken.has(one.toLowerCase())) return one;
  }
}
