import { v5 as uuidFrom } from 'uuid';
import {
  type ForeignMeasure,
  type ForeignPatient,
  type ForeignRecord,
  type LeftOut,
  readForeign,
} from '@/core/fhir-in';
import {
  type MeasurementBody,
  formatMeasure,
  kindOf,
  measuredValue,
  wordsOf,
} from '@/core/measures';
import type { ForeignDraft } from '@/core/records';
import { type Instant, dateIn } from '@/core/schedule';
import { type ClinicId, type LocalDate, type PatientId, shortDay } from '@/core/units';
import {
  AlreadyThere,
  type MeasurementRow,
  type Placed,
  insertForeignMeasurement,
  measurementsById,
  patientById,
} from '@/db';
import type { SignedIn } from './access';
import { clinicOf } from './clinic';
import { now } from './clock';
import { newcomer } from './newcomer';
import { alikeInWords, patientFor } from './people';
import { Problem } from './problem';
import { writeAs } from './visit/write-as';

/** Ids of what comes from elsewhere are made of its own, so that taking it in again finds it. */
const NAMESPACE = '5f0d2a51-5b7e-4c39-9d55-0c1f6a0f7f7e';

const numbersOf = ({ value }: ForeignMeasure) =>
  value.form === 'number' ? String(value.of) : `${value.systolic}/${value.diastolic}`;

const inWords = ({ kind, value }: ForeignMeasure) =>
  value.form === 'number'
    ? formatMeasure(kind, value.of)
    : `${value.systolic}/${value.diastolic} ${kindOf(kind).unit}`;

/** A measurement's id here: of whose it is there, and of its own id or, without one, of what it says. */
function idHere(patientId: PatientId, { patient }: ForeignRecord, one: ForeignMeasure): string {
  const own = one.id ?? [one.kind, one.side, one.on, numbersOf(one)].join(' ');
  return uuidFrom([patientId, patient.id ?? '', own].join(' '), NAMESPACE);
}

export type ForeignLine = {
  readonly what: string;
  readonly value: string;
  readonly on: LocalDate;
  /** Whether it is new here, here already, or here with another number: that one is kept. */
  readonly state: 'new' | 'here' | 'differs';
};

export type ForeignPreview = {
  readonly patient: ForeignPatient;
  readonly lines: readonly ForeignLine[];
  readonly left: readonly LeftOut[];
  readonly others: Readonly<Record<string, number>>;
  /** Who may be this person already; null where nobody may, or for a patient who is here. */
  readonly alike: string | null;
  /** In what the file names somebody else than the patient it is looked at for. */
  readonly unlike: readonly string[];
};

async function readFor(member: SignedIn, text: string): Promise<ForeignRecord> {
  const read = readForeign(text);
  if (!read.ok) throw new Problem(400, read.say, ['text']);
  const { record } = read;
  const today = dateIn((await clinicOf(member)).zone, now());
  const ahead = record.measures.filter(({ on }) => on > today);
  return {
    ...record,
    measures: record.measures.filter(({ on }) => on <= today),
    left: [
      ...record.left,
      ...ahead.map(({ kind, side, on }) => ({
        what: wordsOf(kind, side),
        why: `its day, ${shortDay(on)}, has not come yet`,
      })),
    ],
  };
}

/** Those measurements of a file that were taken in before, also where they were taken out again. */
async function knownOf(
  clinicId: ClinicId,
  patientId: PatientId | null,
  record: ForeignRecord,
): Promise<ReadonlyMap<string, MeasurementRow>> {
  if (patientId === null) return new Map();
  const ids = record.measures.map((one) => idHere(patientId, record, one));
  return new Map((await measurementsById(clinicId, ids)).map((row) => [row.id, row]));
}

/** In what a file and a patient differ, in words. */
function unlikeIn(
  { name, birthDate }: ForeignPatient,
  here: { readonly name: string; readonly birthDate: LocalDate | null },
): string[] {
  const same = (a: string, b: string) =>
    a.localeCompare(b, undefined, { sensitivity: 'base', usage: 'search' }) === 0;
  return [
    ...(same(name, here.name) ? [] : [`The file is of ${name}, this patient is ${here.name}.`]),
    ...(birthDate === null || here.birthDate === null || birthDate === here.birthDate
      ? []
      : [`The file says born ${shortDay(birthDate)}, here it is ${shortDay(here.birthDate)}.`]),
  ];
}

/** What a file of another system would bring; nothing is written. */
export async function previewForeign(
  member: SignedIn,
  { text, patientId }: { readonly text: string; readonly patientId: string | null },
): Promise<ForeignPreview> {
  const here = patientId === null ? null : await patientFor(member, patientId);
  const record = await readFor(member, text);
  const { patient, measures, left, others } = record;
  const known = await knownOf(member.clinicId, here?.id ?? null, record);
  return {
    patient,
    lines: measures.map((one): ForeignLine => {
      const found = here ? known.get(idHere(here.id, record, one)) : undefined;
      const row = found && measureRow(here?.id ?? '', member, record, one, '', found.createdAt);
      return {
        what: wordsOf(one.kind, one.side),
        value: inWords(one),
        on: one.on,
        state: !found || !row ? 'new' : isSame(found, row) ? 'here' : 'differs',
      };
    }),
    left,
    others,
    alike: here
      ? null
      : await alikeInWords(member, { id: '', name: patient.name, birthDate: patient.birthDate }),
    unlike: here ? unlikeIn(patient, here) : [],
  };
}

const isSame = (a: Pick<MeasurementRow, 'kind' | 'side' | 'value' | 'localDate'>, b: typeof a) =>
  a.kind === b.kind && a.side === b.side && a.value === b.value && a.localDate === b.localDate;

function measureRow(
  patientId: PatientId,
  member: SignedIn,
  record: ForeignRecord,
  one: ForeignMeasure,
  from: string,
  at: Instant,
): Placed<MeasurementRow> {
  const trials = one.value.form === 'number' ? [one.value.of] : [];
  const body: MeasurementBody | null =
    one.value.form === 'pressure'
      ? {
          form: 'pressure',
          systolic: one.value.systolic,
          diastolic: one.value.diastolic,
        }
      : null;
  return {
    clinicId: member.clinicId,
    id: idHere(patientId, record, one),
    patientId,
    createdAt: at,
    authorId: member.id,
    kind: one.kind,
    side: one.side,
    // Nobody here knows it, and it is not shown (`howMeasured`); the column takes what is usual.
    position: kindOf(one.kind).position,
    instrument: 'from another clinic',
    unit: kindOf(one.kind).unit,
    trials,
    value: measuredValue(one.kind, trials, body),
    details: {
      body,
      note: `From ${from}`,
      painAtEnd: null,
      chinJut: false,
      retest: null,
      source: { from, id: one.id },
    },
    localDate: one.on,
    supersedes: null,
  };
}

/**
 * Takes in what another system says: a new patient with their measurements, or measurements of one who is
 * here. Nothing that is here is changed; taking in again changes nothing.
 *
 * @throws Problem 409 where somebody may be here already, or the file is of somebody else
 */
export async function takeForeign(
  member: SignedIn,
  { text, from, into }: ForeignDraft,
): Promise<{ readonly id: string; readonly measured: number }> {
  const { clinicId } = member;
  const record = await readFor(member, text);
  const { patient, measures } = record;
  const there = await patientById(clinicId, into.id);
  const here = into.kind === 'here' || there ? await patientFor(member, into.id) : null;
  if (into.kind === 'here' && here && !into.isSame) {
    const unlike = unlikeIn(patient, here);
    if (unlike.length > 0)
      throw new Problem(409, `${unlike.join(' ')} Say that it is the same person, or leave it.`, [
        'isSame',
      ]);
  }
  // Sent again it is this very patient; anything else under the same id is another one.
  if (into.kind === 'new' && here && unlikeIn(patient, here).length > 0) throw new AlreadyThere();
  if (into.kind === 'new' && !here && !into.another) {
    const alike = await alikeInWords(member, { ...patient, id: into.id });
    if (alike !== null)
      throw new Problem(
        409,
        `This may be somebody you have already: ${alike}. Take the file in from their record, or say that this is another person.`,
        ['another'],
      );
  }
  const known = await knownOf(clinicId, here?.id ?? null, record);
  const fresh = measures.filter((one) => !known.has(idHere(into.id, record, one)));
  if (here && fresh.length === 0) return { id: here.id, measured: 0 };
  const { zone } = await clinicOf(member);
  await writeAs(member, 'practitioner', {
    verb: here
      ? `took ${fresh.length} measurements of another system into`
      : 'added from another system',
    subject: { kind: 'patient', id: into.id },
    statements: (at) => [
      ...(here || into.kind === 'here'
        ? []
        : newcomer(
            member,
            {
              ...patient,
              id: into.id,
              zone,
              complaint: into.complaint,
              area: into.area,
              minutesADay: null,
            },
            at,
          )),
      ...fresh.map((one) =>
        insertForeignMeasurement(measureRow(into.id, member, record, one, from, at)),
      ),
    ],
  });
  return { id: into.id, measured: fresh.length };
}
