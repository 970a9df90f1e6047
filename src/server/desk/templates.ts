import type { Frozen, ClinicId } from '@/core/units';
import { isDeepStrictEqual } from 'node:util';
import type { TemplateDraft } from '@/core/records';
import { guard, insertTemplate, offersTemplate, retireTemplate, templatesOf } from '@/db';
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

/** Keeps a programme without its patient. */
export async function saveTemplate(member: SignedIn, draft: TemplateDraft): Promise<void> {
  const { clinicId } = member;
  const { id, name, rounds, lines } = draft;
  const body = { rounds, lines };
  const there = await templatesOf(clinicId);
  if (there.some((one) => one.id !== id && one.name.toLowerCase() === name.toLowerCase()))
    throw new Problem(409, 'A template has this name already: choose another.', ['name']);
  const catalogue = await catalogueFor(clinicId);
  const gone = lines.findIndex(({ exerciseId }) => catalogue.byId(exerciseId) === null);
  if (gone >= 0)
    throw new Problem(400, 'The catalogue has no such exercise.', ['lines', gone, 'exerciseId']);
  await writeAs(member, 'practitioner', {
    verb: 'saved',
    subject: { kind: 'template', id },
    statements: (at) => [
      insertTemplate({ clinicId, id, name, body, authorId: member.id, createdAt: at }),
    ],
    isThere: async () =>
      (await templatesOf(clinicId)).some(
        (one) => one.id === id && isDeepStrictEqual(one.body, body),
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
