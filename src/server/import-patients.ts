import { type ImportDraft, ImportedRow, type RowFound } from '@/core/records';
import { parseZone } from '@/core/schedule';
import { type Statement, audit, patientsById, write } from '@/db';
import { type SignedIn, actorOf, stillMay } from './access';
import { breather } from './breathe';
import { now } from './clock';
import { newcomer } from './newcomer';
import { alikeInWords } from './people';
import { Problem } from './problem';

/** Looks at rows of a table, each by itself; nothing is written. */
export async function checkRows(member: SignedIn, rows: readonly unknown[]): Promise<RowFound[]> {
  const breathe = breather();
  const found: RowFound[] = [];
  for (const row of rows) {
    const read = ImportedRow.safeParse(row);
    found.push(
      read.success
        ? { wrong: null, alike: await alikeInWords(member, read.data) }
        : { wrong: read.error.issues[0]?.message ?? 'The row cannot be read.', alike: null },
    );
    await breathe();
  }
  return found;
}

/**
 * Writes rows of a table, all of them or none. A row that may be somebody already is written only where a
 * member said that it is another person; one that was written before changes nothing.
 *
 * @returns how many were written now
 */
export async function importRows(
  member: SignedIn,
  { zone: typed, rows }: ImportDraft,
): Promise<{ written: number }> {
  const { clinicId } = member;
  const zone = parseZone(typed);
  if (!zone) throw new Problem(400, 'This time zone is not known.', ['zone']);
  const there = new Set<string>(
    (
      await patientsById(
        clinicId,
        rows.map(({ id }) => id),
      )
    ).map(({ id }) => id),
  );
  const fresh = rows.filter(({ id }) => !there.has(id));
  const breathe = breather();
  for (const [at, row] of fresh.entries()) {
    const alike = row.another ? null : await alikeInWords(member, row);
    if (alike !== null)
      throw new Problem(
        409,
        `${row.name} may be somebody you have by now: ${alike}. Look at the table again; of these rows nothing was written.`,
        ['rows', at, 'another'],
      );
    await breathe();
  }
  if (fresh.length === 0) return { written: 0 };
  const at = now();
  await write(() => [
    stillMay(member, 'practitioner'),
    ...fresh.flatMap((row): Statement[] => {
      const { id, phone, ...known } = row;
      const phones = phone === '' ? [] : [phone];
      return [
        ...newcomer(member, { ...known, id, zone, phones, area: null, sex: null }, at),
        audit({
          clinicId,
          at,
          actor: actorOf(member),
          verb: 'added from a table',
          subject: { kind: 'patient', id },
        }),
      ];
    }),
  ]);
  return { written: fresh.length };
}
