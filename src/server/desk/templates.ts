import { NO_SETTINGS } from '@/core/school';
import type { Frozen, ClinicId } from '@/core/units';
import { isDeepStrictEqual } from 'node:util';
import { READY_PROGRAMMES } from '@/catalogue/programmes';
import type { TemplateDraft } from '@/core/records';
import {
  type Statement,
  guard,
  insertTemplate,
  offersTemplate,
  retireTemplate,
  templatesOf,
} from '@/db';
import type { SignedIn } from '../access';
import { NOT_FOUND, Problem } from '../problem';
import { writeAs } from '../visit/write-as';
import { catalogueFor } from './exercises';

/** A template as the desk is offered it. */
export type Template = Frozen<TemplateDraft>;

/** The clinic's templates by name. */
export async function templateList(clinicId: ClinicId): Promise<Template[]> {
  const rows = await templatesOf(clinicId);
  return rows.map(({ id, name, body }) => ({ ...body, id, name }));
}

/** A ready programme as a template would be kept; null where there is none of this id. */
export function draftOfReady(id: string): Omit<TemplateDraft, 'id'> | null {
  const programme = READY_PROGRAMMES.find((one) => one.id === id);
  if (!programme) return null;
  const { name, rounds, lines, about, forWhom, notFor, cautions } = programme;
  return {
    name,
    rounds,
    lines: lines.map(({ exerciseId, dose, school }) => ({
      exerciseId,
      dose,
      school: school === null ? null : { id: school, settings: NO_SETTINGS },
      session: null,
    })),
    notes: { about, forWhom, notFor, cautions: [...cautions] },
  };
}

/** What is written in one piece with a template: exercises that come along with it. */
type Along = { readonly ids: ReadonlySet<string>; readonly first: readonly Statement[] };
const NOTHING_ALONG: Along = { ids: new Set(), first: [] };

/** Keeps a programme without its patient. */
export async function saveTemplate(
  member: SignedIn,
  draft: TemplateDraft,
  along = NOTHING_ALONG,
): Promise<void> {
  const { clinicId } = member;
  const { id, name, rounds, lines, replaces } = draft;
  const there = await templatesOf(clinicId);
  const kept = there.find((one) => one.id === id);
  // Sent twice: the one whose place it took is offered no more already.
  if (
    kept?.name === name &&
    isDeepStrictEqual({ ...kept.body, notes: null }, { rounds, lines, notes: null })
  )
    return;
  const before = there.find((one) => one.id === replaces);
  // What a template says of itself stays when its lines are written anew.
  const notes = draft.notes ?? before?.body.notes;
  const body = { rounds, lines, ...(notes ? { notes } : {}) };
  const others = there.filter((one) => one.id !== id && one.id !== replaces);
  if (others.some((one) => one.name.toLowerCase() === name.toLowerCase()))
    throw new Problem(409, 'A template has this name already: choose another.', ['name']);
  const catalogue = await catalogueFor(clinicId);
  const gone = lines.findIndex(
    ({ exerciseId }) => catalogue.byId(exerciseId) === null && !along.ids.has(exerciseId),
  );
  if (gone >= 0)
    throw new Problem(400, 'The catalogue has no such exercise.', ['lines', gone, 'exerciseId']);
  await writeAs(member, 'practitioner', {
    verb: 'saved',
    subject: { kind: 'template', id },
    statements: (at) => [
      ...along.first,
      ...(replaces === undefined
        ? []
        : [
            guard('offered', offersTemplate(clinicId, replaces)),
            retireTemplate(clinicId, replaces, at),
          ]),
      insertTemplate({ clinicId, id, name, body, authorId: member.id, createdAt: at }),
    ],
    isThere: async () =>
      (await templatesOf(clinicId)).some(
        (one) => one.id === id && one.name === name && isDeepStrictEqual(one.body, body),
      ),
  });
}

export async function removeTemplate(member: SignedIn, { id }: { id: string }): Promise<void> {
  const there = await templatesOf(member.clinicId);
  if (!there.some((one) => one.id === id)) throw new Problem(404, NOT_FOUND);
  return writeAs(member, 'practitioner', {
    verb: 'retired',
    subject: { kind: 'template', id },
    statements: (at) => [
      guard('offered', offersTemplate(member.clinicId, id)),
      retireTemplate(member.clinicId, id, at),
    ],
  });
}
