import { searchText } from '@/core/identity';
import { type ImportDraft, ImportedRow, NO_DETAILS, type RowFound } from '@/core/records';
import { ENGLISH } from '@/catalogue';
import { type WallMinute, dateIn, parseZone } from '@/core/schedule';
import {
  type Statement,
  audit,
  insertEpisode,
  insertPatient,
  patientsById,
  putDetails,
  write,
} from '@/db';
import { type SignedIn, actorOf, stillMay } from './access';
import { breather } from './breathe';
import { now } from './clock';
import { alikeInWords } from './people';
import { Problem } from './problem';

/** How a day is taken until somebody asks: the patient sets it on the phone. */
const WAKE = 420 as WallMinute;
const SLEEP = 1320 as WallMinute;

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
      const { id, name, complaint, birthDate, phone, email, clinicNumber, minutesADay } = row;
      const phones = phone === '' ? [] : [{ number: phone, what: '' }];
      return [
        insertPatient({
          clinicId,
          id,
          name,
          zone,
          wakeMinute: WAKE,
          sleepMinute: SLEEP,
          minutesADay,
          practitionerId: member.id,
          birthDate,
          language: ENGLISH.tag,
          contact: '',
          createdAt: at,
          archivedAt: null,
          search:
            searchText({ name, clinicNumber, phones: [phone], complaints: [complaint] }) || '-',
        }),
        insertEpisode({
          clinicId,
          id: crypto.randomUUID(),
          patientId: id,
          complaint,
          openedOn: dateIn(zone, at),
          closedOn: null,
        }),
        putDetails({
          clinicId,
          patientId: id,
          body: { ...NO_DETAILS, phones, email, clinicNumber },
          updatedAt: at,
          authorId: member.id,
        }),
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
