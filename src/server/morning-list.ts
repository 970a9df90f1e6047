import { LEVELS, type Level, type MorningRow } from '@/core/triage';
import { reachable } from '@/core/identity';
import { type ContactBody, NO_DETAILS, type NextVisitBody } from '@/core/records';
import type { ClinicId, LocalDate, MemberId, PatientId } from '@/core/units';
import { sum } from 'd3';
import {
  LIST_BOUNDS,
  type TriageQuery,
  type TriageRow,
  contactsSince,
  countTriageRows,
  detailsOfMany,
  membersOf,
  nextVisitsOf,
  patientsById,
  triageCounts,
  triageRowsOf,
} from '@/db';
import type { SignedIn } from './access';
import { practitionersSeen } from './files';
import { escalate } from './follow/escalation';
import { readyForLook } from './follow/refresh';
import { dropSpoiltRows } from './follow/spoilt-rows';
import { type EachReadable, eachReadable } from './each-readable';
import { unreadableIn } from './problem';

/** A row with whose it is. */
export type PatientRow = MorningRow & {
  readonly patientId: PatientId;
  readonly name: string;
  readonly practitioner: string;
  /** The number that is dialled first; null where none is known. */
  readonly phone: string | null;
  /** The patient's own day. */
  readonly today: LocalDate;
  /** When the patient comes next; null where nothing is agreed. */
  readonly nextVisit: NextVisitBody | null;
  /** The newest call or message of the patient's own day, and by whom; null where there was none. */
  readonly contact: (ContactBody & { readonly by: string }) | null;
};

export type MorningGroup = {
  /** Null for those put aside. */
  readonly level: Level | null;
  readonly total: number;
  readonly rows: readonly PatientRow[];
};

export type MorningList = {
  /** Patients still being reckoned: their rows are of before, or not there yet. */
  readonly waiting: number;
  readonly groups: readonly MorningGroup[];
  /** The group that is paged through, with its page; the others show their first rows. */
  readonly page: number;
  readonly pages: number;
  readonly total: number;
  readonly counts: readonly {
    readonly id: string;
    readonly name: string;
    readonly call: number;
    readonly decide: number;
    readonly steady: number;
  }[];
};

export type MorningAsked = {
  readonly search: string;
  /** A practitioner's id, or null for everybody's. */
  readonly practitionerId: MemberId | null;
  readonly group: Level | 'aside' | null;
  readonly page: number;
};

/**
 * So many of each group are shown before somebody asks for all of them: the first to be called, and few of
 * the steady, who need no look.
 */
const SHOWN = { 'call today': 30, decide: 30, steady: 12, aside: 30 } as const;

/** The clinic's patients in the order of who needs what this morning. */
export async function morningList(member: SignedIn, asked: MorningAsked): Promise<MorningList> {
  const { clinicId } = member;
  await escalate(clinicId);
  const waiting = await readyForLook(clinicId);
  const { search, practitionerId, group, page } = asked;
  const [members, everyTally, seen] = await Promise.all([
    membersOf(clinicId),
    triageCounts(clinicId),
    practitionersSeen(member),
  ]);
  const isSeen = (id: MemberId) => seen === null || seen.includes(id);
  const tallies = everyTally.filter((row) => isSeen(row.practitionerId));
  const practitioners = practitionerId === null ? seen : [practitionerId].filter(isSeen);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  const base = { clinicId, search, practitioners };
  const wanted = group === null ? [...LEVELS, 'aside' as const] : [group];
  const totalOf = async (one: Level | 'aside'): Promise<number> => {
    if (search !== '') return countTriageRows({ ...base, level: levelOf(one) });
    const rows = tallies.filter(
      (row) => isIn(row, one) && (practitioners?.includes(row.practitionerId) ?? true),
    );
    return sum(rows, ({ count: rowsOfIt }) => rowsOfIt);
  };
  const totals = await Promise.all(wanted.map(totalOf));
  const pages =
    group === null ? 1 : Math.max(1, Math.ceil((totals[0] ?? 0) / LIST_BOUNDS.triagePage));
  const shown = Math.min(Math.max(1, page), pages);
  const groups = await Promise.all(
    wanted.map(async (one, index): Promise<MorningGroup> => {
      // Looking for somebody, or at one group, shows all of a page.
      const few = group === null && search === '';
      const rows = await rowsOf({
        ...base,
        level: levelOf(one),
        page: shown,
        ...(few ? { most: SHOWN[one] } : {}),
      });
      const ids = rows.map(({ patientId }) => patientId);
      const days = rows.map(({ forDate }) => forDate).sort();
      const [first] = days;
      const [visits, phones, contacts] = await Promise.all([
        eachReadable(ids, (some) => nextVisitsOf(clinicId, some)),
        eachReadable(ids, (some) => phonesOf(clinicId, some)),
        first ? eachReadable(ids, (some) => contactsSince(clinicId, some, first)) : NOTHING,
      ]);
      return {
        level: one === 'aside' ? null : one,
        total: totals[index] ?? 0,
        rows: rows.map((row) => {
          const next = visits.found.get(row.patientId) ?? null;
          const contact = contacts.found.get(row.patientId);
          const unread = [visits, phones, contacts].flatMap(
            (each: EachReadable<PatientId, unknown>) => each.unread.get(row.patientId) ?? [],
          );
          return {
            ...row.body,
            also: [...row.body.also, ...unread.map(({ what }) => `Cannot be read: ${what}.`)],
            patientId: row.patientId,
            name: row.name,
            practitioner: names.get(row.practitionerId) ?? '',
            phone: phones.found.get(row.patientId) ?? null,
            today: row.forDate,
            nextVisit: next && next.date >= row.forDate ? next : null,
            contact:
              contact && contact.on >= row.forDate
                ? { ...contact, by: names.get(contact.authorId as MemberId) ?? '' }
                : null,
          };
        }),
      };
    }),
  );
  const count = (id: string, level: number) =>
    tallies.find((row) => row.practitionerId === id && row.level === level && !row.aside)?.count ??
    0;
  return {
    waiting,
    groups,
    page: shown,
    pages,
    total: totals.reduce((sum, total) => sum + total, 0),
    counts: members
      .filter(({ id }) => tallies.some((row) => row.practitionerId === id))
      .map(({ id, name }) => ({
        id,
        name,
        call: count(id, 0),
        decide: count(id, 1),
        steady: count(id, 2),
      })),
  };
}

const NOTHING: EachReadable<PatientId, never> = {
  found: new Map<PatientId, never>(),
  unread: new Map(),
};

/** Rows of a group; where one of them cannot be read it is made anew first. */
async function rowsOf(query: TriageQuery): Promise<TriageRow[]> {
  try {
    return await triageRowsOf(query);
  } catch (error) {
    if (unreadableIn(error) === null) throw error;
    await dropSpoiltRows(query.clinicId);
    await readyForLook(query.clinicId);
    return triageRowsOf(query);
  }
}

/** Whether a tally of rows is of a group: who is put aside stands in no other. */
function isIn(tally: { readonly level: number; readonly aside: boolean }, group: Level | 'aside') {
  return group === 'aside' ? tally.aside : !tally.aside && tally.level === LEVELS.indexOf(group);
}

function levelOf(group: Level | 'aside'): TriageQuery['level'] {
  return group === 'aside' ? null : LEVELS.indexOf(group);
}

/** The first number of each of these patients that can be dialled. */
async function phonesOf(clinicId: ClinicId, ids: readonly PatientId[]) {
  const [patients, details] = await Promise.all([
    patientsById(clinicId, ids),
    detailsOfMany(clinicId, ids),
  ]);
  return new Map(
    patients.flatMap(({ id, contact }) => {
      const [first] = reachable(details.get(id) ?? NO_DETAILS, contact);
      return first ? [[id, first.number] as const] : [];
    }),
  );
}
