import type { Instant } from '@/core/schedule';
import type { BodySide, LatestMeasure } from '@/core/findings';
import {
  type Change,
  type DetectableChanges,
  KIND_IDS,
  type MeasureKindId,
  type MeasurementBody,
  changeBetween,
  detectableOf,
  kindOf,
  measuredValue,
} from '@/core/measures';
import type {
  DetectableDraft,
  MeasurementDetails,
  MeasurementDraft,
  MeasurementsDraft,
  WithdrawDraft,
} from '@/core/records';
import { nerveChange } from '@/core/symptoms';
import type { LocalDate, ClinicId, AuthorId, EpisodeId } from '@/core/units';
import {
  type MeasurementRow,
  type Patient,
  type Placed,
  type Statement,
  clinicById,
  insertAlert,
  forgetVisitDraft,
  insertMeasurement,
  measurementById,
  measurementsOf,
  setDetectableChange,
} from '@/db';
import type { SignedIn } from '../access';
import { now } from '../clock';
import { patientFor } from '../people';
import { NOT_FOUND, Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { isSameRecord, writeAs } from './write-as';

/** A stored measurement as pages and rules read it. */
export type Measure = LatestMeasure & {
  readonly id: string;
  readonly on: LocalDate;
  readonly at: Instant;
  readonly position: string;
  readonly instrument: string;
  readonly authorId: AuthorId;
  readonly episodeId: EpisodeId | null;
};

/** What a row that takes a measurement out holds. */
const NO_DETAILS: MeasurementDetails = {
  body: null,
  note: '',
  painAtEnd: null,
  chinJut: false,
  retest: null,
};

function readMeasure(row: MeasurementRow): Measure {
  return {
    ...(row.details ?? NO_DETAILS),
    id: row.id,
    kind: row.kind as MeasureKindId,
    side: row.side,
    value: row.value,
    trials: row.trials,
    on: row.localDate,
    at: row.createdAt,
    position: row.position,
    instrument: row.instrument,
    authorId: row.authorId,
    episodeId: row.episodeId,
  };
}

/** Every measurement that counts, newest first. */
export async function measuresOf(patient: Patient): Promise<Measure[]> {
  const rows = await measurementsOf(patient.clinicId, patient.id);
  // A kind that a later release dropped stays in the record, but no page can show it.
  return rows.filter((row) => (KIND_IDS as readonly string[]).includes(row.kind)).map(readMeasure);
}

const seriesKey = (kind: MeasureKindId, side: BodySide | null) => `${kind} ${side ?? ''}`;

/** The newest of each kind and side. */
export async function latestMeasures(patient: Patient): Promise<Measure[]> {
  const seen = new Set<string>();
  return (await measuresOf(patient)).filter(({ kind, side }) => {
    const key = seriesKey(kind, side);
    return !seen.has(key) && seen.add(key);
  });
}

/** The most earlier measurements of a kind and side that the sheet shows. */
const EARLIER_SHOWN = 8;

/** One kind and side through time. */
export type MeasureSeries = {
  readonly kind: MeasureKindId;
  readonly side: BodySide | null;
  readonly last: Measure;
  readonly first: Measure;
  readonly count: number;
  /** Newest first, at most EARLIER_SHOWN. */
  readonly earlier: readonly Measure[];
  readonly sinceLast: Change | null;
  readonly sinceFirst: Change | null;
};

/** Series of these measures, with the change since the one before and since the first. */
export function seriesOf(
  measures: readonly Measure[],
  detectable: DetectableChanges,
): MeasureSeries[] {
  const groups = new Map<string, Measure[]>();
  for (const measure of measures) {
    const key = seriesKey(measure.kind, measure.side);
    groups.set(key, [...(groups.get(key) ?? []), measure]);
  }
  return [...groups.values()].flatMap((group) => {
    const [last, before] = group;
    const first = group.at(-1);
    if (!last || !first) return [];
    const { better } = kindOf(last.kind);
    const { margin } = detectableOf(last.kind, detectable);
    const change = (then: Measure | undefined) =>
      then && then !== last && then.value !== null && last.value !== null
        ? changeBetween(then.value, last.value, margin, better)
        : null;
    return [
      {
        kind: last.kind,
        side: last.side,
        last,
        first,
        count: group.length,
        earlier: group.slice(0, EARLIER_SHOWN),
        sinceLast: change(before),
        sinceFirst: change(first),
      },
    ];
  });
}

/** The clinic's own detectable changes. */
export async function detectableChangesOf(clinicId: ClinicId): Promise<DetectableChanges> {
  const clinic = await clinicById(clinicId);
  return clinic?.detectableChanges ?? {};
}

/** Everything the measuring sheet shows; `own` are the looker's own detectable changes. */
export async function sheetOf(patient: Patient, own: DetectableChanges = {}) {
  const [measures, clinic] = await Promise.all([
    measuresOf(patient),
    detectableChangesOf(patient.clinicId),
  ]);
  const detectable = { ...clinic, ...own };
  return { measures, detectable, series: seriesOf(measures, detectable) };
}

export function measurementRow(
  patient: Patient,
  member: SignedIn,
  draft: Omit<MeasurementDraft, 'body'> & { readonly body: MeasurementBody | null },
  at: Instant,
): Placed<MeasurementRow> {
  const details: MeasurementDetails = {
    body: draft.body,
    note: draft.note,
    painAtEnd: draft.painAtEnd,
    chinJut: draft.chinJut,
    retest: draft.retest,
  };
  return {
    clinicId: patient.clinicId,
    id: draft.id,
    patientId: patient.id,
    createdAt: at,
    authorId: member.id,
    kind: draft.kind,
    side: draft.side,
    position: draft.position,
    instrument: draft.instrument,
    unit: kindOf(draft.kind).unit,
    trials: [...draft.trials],
    value: measuredValue(draft.kind, draft.trials, draft.body),
    details,
    localDate: todayOf(patient),
    supersedes: draft.supersedes,
  };
}

/**
 * Stores a sitting's measurements together. New weakness at a nerve examination raises an alert,
 * whatever the pain does.
 */
export async function saveMeasurements(member: SignedIn, draft: MeasurementsDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const stored = await measuresOf(patient);
  for (const [index, one] of draft.measurements.entries())
    if (
      one.supersedes !== null &&
      !stored.some((old) => old.id === one.id || isCorrection(old, one))
    )
      throw new Problem(
        409,
        'The measurement to correct is not there any more. Load the page again.',
        ['measurements', index],
      );
  await writeAs(member, 'assistant', {
    verb: `measured ${draft.measurements.length} of`,
    subject: { kind: 'patient', id: patient.id },
    statements: (at) => [
      ...draft.measurements.flatMap((one) =>
        insertMeasurement({
          ...measurementRow(patient, member, one, at),
          // What puts a measurement right stays with its complaint.
          episodeId: stored.find(({ id }) => id === one.supersedes)?.episodeId ?? null,
        }),
      ),
      ...draft.measurements.flatMap((one) => weaknessAlert(patient, stored, one, at)),
      forgetVisitDraft({ clinicId, patientId: patient.id, memberId: member.id, kind: 'measures' }),
    ],
    isThere: async () => {
      const there = await Promise.all(
        draft.measurements.map((one) => measurementById(clinicId, one.id)),
      );
      return draft.measurements.every((one, index) => {
        const row = there[index];
        const { id, patientId, kind, side, trials, details, supersedes } = measurementRow(
          patient,
          member,
          one,
          now(),
        );
        return row && isSameRecord(row, { id, patientId, kind, side, trials, details, supersedes });
      });
    },
  });
}

function isCorrection(old: Measure, draft: MeasurementDraft): boolean {
  return old.id === draft.supersedes && old.kind === draft.kind && old.side === draft.side;
}

function weaknessAlert(
  patient: Patient,
  stored: readonly Measure[],
  draft: MeasurementDraft,
  at: Instant,
): Statement[] {
  if (draft.body?.form !== 'nerve') return [];
  const before = stored.find((one) => one.kind === draft.kind && one.id !== draft.supersedes)?.body;
  const change = nerveChange(before?.form === 'nerve' ? before : null, draft.body);
  return change.weaker.length === 0
    ? []
    : [
        insertAlert({
          clinicId: patient.clinicId,
          id: `weakness ${draft.id}`,
          patientId: patient.id,
          kind: 'new weakness',
          createdAt: at,
        }),
      ];
}

/** Takes a measurement out; it stays in the record. */
export async function withdrawMeasurement(member: SignedIn, draft: WithdrawDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const old = await measurementById(clinicId, draft.supersedes);
  if (!old || old.patientId !== patient.id) throw new Problem(404, NOT_FOUND);
  await writeAs(member, 'assistant', {
    verb: 'took out',
    subject: { kind: 'measurement', id: old.id },
    statements: (at) =>
      insertMeasurement({
        ...old,
        id: draft.id,
        createdAt: at,
        authorId: member.id,
        details: null,
        value: null,
        trials: [],
        supersedes: old.id,
      }),
    isThere: async () => (await measurementById(clinicId, draft.id))?.supersedes === old.id,
  });
}

/** Sets or clears the clinic's own detectable change of one kind. */
export async function setDetectable(lead: SignedIn, draft: DetectableDraft): Promise<void> {
  const { clinicId } = lead;
  await writeAs(lead, 'lead', {
    verb: `set the detectable change of ${draft.kind} in`,
    subject: { kind: 'clinic', id: clinicId },
    statements: () => [setDetectableChange(clinicId, draft.kind, draft.own)],
  });
}
