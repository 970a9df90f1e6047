import type { Observation, ObservationComponent, Quantity } from 'fhir/r4';
import {
  BACK_SECTIONS,
  KIND_IDS,
  type MeasureKindId,
  NECK_SECTIONS,
  bodyInWords,
  howMeasured,
  kindOf,
} from '../measures';
import type { Unit } from '../measures';
import { standingEvents } from '../history';
import type { RecordEvent, RecordMeasurement, WholeRecord } from '../whole-record';
import { atVisit, author } from './people';
import { HL7, SYSTEMS, concept, instantText, refer, unlessEmpty, unlessNone } from './words';

/** Units of ours as UCUM writes them (ucum.org); what it has no unit for stands in braces, as it says. */
const UCUM: Readonly<Record<Unit, string>> = {
  '°': 'deg',
  mm: 'mm',
  s: 's',
  N: 'N',
  '%': '%',
  mmHg: 'mm[Hg]',
  'of 10': '{score}',
  'of 50': '{score}',
  days: '{days}',
  nights: '{nights}',
  '': '1',
};

const isKind = (kind: string): kind is MeasureKindId =>
  (KIND_IDS as readonly string[]).includes(kind);
const isUnit = (unit: string): unit is Unit => Object.hasOwn(UCUM, unit);

function quantity(value: number, unit: string): Quantity {
  return isUnit(unit)
    ? { value, system: HL7.ucum, code: UCUM[unit], ...unlessEmpty('unit', unit) }
    : { value, unit };
}

const OF_TEN = (value: number): Quantity => quantity(value, 'of 10');

/**
 * The measurements of a record. What was corrected is said to be in error, and what corrects it
 * corrected; what was taken out again has no observation of its own.
 */
export function measuredObservations(
  record: Pick<WholeRecord, 'patient' | 'members' | 'measurements'>,
): Observation[] {
  const gone = new Set(record.measurements.map(({ supersedes }) => supersedes));
  return record.measurements
    .filter(({ details }) => details !== null)
    .map((row) => measuredObservation(record, row, gone.has(row.id)));
}

/** One measurement; `isGone` says that it was corrected or taken out later. */
export function measuredObservation(
  record: Pick<WholeRecord, 'patient' | 'members'>,
  row: RecordMeasurement,
  isGone: boolean,
): Observation {
  const { kind, side, position, instrument, unit, trials, value, details } = row;
  const name = isKind(kind) ? kindOf(kind).name : kind;
  const inWords =
    value === null && isKind(kind) ? bodyInWords({ value, body: details?.body ?? null }) : '';
  return {
    resourceType: 'Observation',
    id: row.id,
    status: isGone ? 'entered-in-error' : row.supersedes === null ? 'final' : 'corrected',
    code: concept(name, { system: SYSTEMS.measure, code: kind, display: name }),
    subject: refer('Patient', record.patient.id),
    ...atVisit(row.visitId),
    effectiveDateTime: row.localDate,
    issued: instantText(row.createdAt),
    performer: [author(record, row.authorId)],
    ...(value === null
      ? unlessEmpty('valueString', inWords)
      : { valueQuantity: quantity(value, unit) }),
    ...(side === null ? {} : { bodySite: concept(`${side} side`) }),
    method: concept(howMeasured(instrument, position)),
    ...unlessNone('note', details === null || details.note === '' ? [] : [{ text: details.note }]),
    ...unlessNone('component', [
      ...trials.map((trial, at): ObservationComponent => ({
        code: concept(`trial ${at + 1}`),
        valueQuantity: quantity(trial, unit),
      })),
      ...componentsOf(kind, details),
    ]),
  };
}

function componentsOf(kind: string, details: RecordMeasurement['details']): ObservationComponent[] {
  const body = details?.body ?? null;
  const pain = details?.painAtEnd ?? null;
  const components: ObservationComponent[] =
    pain === null ? [] : [{ code: concept('pain at the end'), valueQuantity: OF_TEN(pain) }];
  if (body?.form === 'sections') {
    const sections: readonly string[] = kind === 'back-index' ? BACK_SECTIONS : NECK_SECTIONS;
    body.scores.forEach((score, at) => {
      if (score !== null)
        components.push({
          code: concept(sections[at] ?? `section ${at + 1}`),
          valueInteger: score,
        });
    });
  }
  if (body?.form === 'activities')
    for (const { name, score } of body.activities)
      components.push({ code: concept(name), valueQuantity: OF_TEN(score) });
  if (body?.form === 'pressure') {
    components.push({ code: concept('systolic'), valueQuantity: quantity(body.systolic, 'mmHg') });
    components.push({
      code: concept('diastolic'),
      valueQuantity: quantity(body.diastolic, 'mmHg'),
    });
  }
  return components;
}

/** What the patient told of pain, of how far down it reaches, of the morning and of activities. */
export function toldObservations(record: Pick<WholeRecord, 'patient' | 'events'>): Observation[] {
  return standingEvents(record.events)
    .map((event) => toldObservation(record, event))
    .filter((observation) => observation !== null);
}

/** What one event told; null where it told nothing of this kind. */
export function toldObservation(
  { patient }: Pick<WholeRecord, 'patient'>,
  event: RecordEvent,
): Observation | null {
  const said = toldIn(event);
  if (said === null) return null;
  const { code, display, date = event.localDate, ...value } = said;
  return {
    resourceType: 'Observation',
    id: event.id,
    status: 'final',
    code: concept(display, { system: SYSTEMS.told, code, display }),
    subject: refer('Patient', patient.id),
    effectiveDateTime: date,
    issued: instantText(event.deviceAt + event.skewMs),
    performer: [refer('Patient', patient.id)],
    ...value,
  };
}

type Told = Pick<
  Observation,
  'valueQuantity' | 'valueString' | 'valueCodeableConcept' | 'component'
> & {
  readonly code: string;
  readonly display: string;
  /** The day it is about, where that is not the event's own. */
  readonly date?: string;
};

function toldIn({ body }: RecordEvent): Told | null {
  switch (body.type) {
    case 'check-in':
      return body.pain === null
        ? null
        : {
            code: 'pain-after',
            display: 'pain after a session, 0–10',
            valueQuantity: OF_TEN(body.pain),
          };
    case 'daily':
      return body.worst === null
        ? null
        : {
            code: 'worst-pain',
            display: 'worst pain of the day, 0–10',
            date: body.date,
            valueQuantity: OF_TEN(body.worst),
          };
    case 'report':
      return {
        code: 'reported',
        display: 'told during a session',
        valueCodeableConcept: concept(body.report.complaint),
        component: [
          { code: concept('severity, 0–10'), valueQuantity: OF_TEN(body.report.severity) },
          { code: concept('compared with before'), valueString: body.report.compared },
          ...(body.report.furthest === null
            ? []
            : [{ code: concept('felt as far as'), valueString: body.report.furthest }]),
        ],
      };
    case 'morning':
      return {
        code: 'morning',
        display: 'the morning after',
        date: body.date,
        valueString: body.soreness,
      };
    case 'weekly':
      return body.activities.length === 0
        ? null
        : {
            code: 'activities',
            display: 'activities, 0–10 each',
            date: body.date,
            component: body.activities.map(({ activity, score }) => ({
              code: concept(activity),
              valueQuantity: OF_TEN(score),
            })),
          };
    case 'started':
    case 'line':
    case 'told':
    case 'taken back':
    case 'count':
    case 'stopped':
    case 'ended':
      return null;
  }
}
