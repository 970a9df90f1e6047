import type { ActivityDefinition, CarePlan, ServiceRequest } from 'fhir/r4';
import { parseDose } from '../dose';
import { addDays } from '../units';
import type { RecordLine, RecordVersion, WholeRecord } from '../whole-record';
import { atVisit, author } from './people';
import { timingOf } from './timing';
import { SYSTEMS, concept, instantText, refer, unlessEmpty, unlessNone } from './words';

/** The dose of a line in plain words, as whoever shows it words it. */
export type SayDose = (line: RecordLine) => string;

export const planId = ({
  programmeId,
  number,
}: Pick<RecordVersion, 'programmeId' | 'number'>): string => `${programmeId}-v${number}`;
export const requestId = (line: Pick<RecordLine, 'programmeId' | 'number' | 'place'>): string =>
  `${planId(line)}-${line.place}`;

type OfPlans = Pick<WholeRecord, 'patient' | 'members' | 'episodes' | 'versions' | 'lines'>;

/** How a version stands: in force, superseded, or of an episode that is closed. */
function statusOf(record: OfPlans, version: RecordVersion): 'active' | 'completed' {
  const open = record.episodes.some(
    ({ id, closedOn }) => id === version.episodeId && closedOn === null,
  );
  return open && nextOf(record, version) === null ? 'active' : 'completed';
}

function nextOf({ versions }: OfPlans, { programmeId, number }: RecordVersion) {
  return (
    versions.find((other) => other.programmeId === programmeId && other.number === number + 1) ??
    null
  );
}

const linesOf = ({ lines }: OfPlans, { programmeId, number }: RecordVersion) =>
  lines.filter((line) => line.programmeId === programmeId && line.number === number);

/** A version of a programme as it was sent, each line a request of its own. */
export function carePlan(record: OfPlans, version: RecordVersion): CarePlan {
  const next = nextOf(record, version);
  const lasted = next === null ? null : addDays(next.effectiveFrom, -1);
  return {
    resourceType: 'CarePlan',
    id: planId(version),
    ...unlessNone(
      'replaces',
      version.number > 1
        ? [refer('CarePlan', planId({ ...version, number: version.number - 1 }))]
        : [],
    ),
    status: statusOf(record, version),
    intent: 'plan',
    title: `Programme, version ${version.number}`,
    ...unlessEmpty('description', version.reason),
    subject: refer('Patient', record.patient.id),
    ...atVisit(version.visitId),
    period: {
      start: version.effectiveFrom,
      // A version that was replaced on its first day lasted no day.
      ...(lasted === null
        ? {}
        : { end: lasted < version.effectiveFrom ? version.effectiveFrom : lasted }),
    },
    created: instantText(version.createdAt),
    author: author(record, version.authorId),
    ...unlessNone(
      'activity',
      linesOf(record, version).map((line) => ({
        reference: refer('ServiceRequest', requestId(line), line.exercise.name),
      })),
    ),
    ...unlessNone(
      'note',
      version.rounds > 1
        ? [{ text: `Each session goes through its exercises ${version.rounds} times.` }]
        : [],
    ),
  };
}

/** The lines of a version as requests, their dose in FHIR's Timing. */
export function serviceRequests(
  record: OfPlans,
  version: RecordVersion,
  say: SayDose,
): ServiceRequest[] {
  return linesOf(record, version).map((line) => {
    const dose = parseDose(line.dose);
    return {
      resourceType: 'ServiceRequest',
      id: requestId(line),
      instantiatesCanonical: [activityUrl(line)],
      basedOn: [refer('CarePlan', planId(version))],
      status: statusOf(record, version),
      intent: 'order',
      code: concept(line.exercise.name, {
        system: SYSTEMS.exercise,
        code: line.exerciseId,
        display: line.exercise.name,
      }),
      subject: refer('Patient', record.patient.id),
      ...atVisit(version.visitId),
      ...(dose.ok
        ? {
            occurrenceTiming: timingOf(dose.value, {
              line: line.dose,
              anchor: line.anchor,
              review: version.reviewOn,
            }),
            ...(dose.value.times?.kind === 'as needed' ? { asNeededBoolean: true } : {}),
          }
        : {}),
      authoredOn: instantText(version.createdAt),
      requester: author(record, version.authorId),
      ...unlessEmpty('patientInstruction', say(line)),
    };
  });
}

/** A version with its lines within it, for whoever reads it by itself. */
export function carePlanWithLines(record: OfPlans, version: RecordVersion, say: SayDose): CarePlan {
  const { activity = [], ...plan } = carePlan(record, version);
  return {
    ...plan,
    ...unlessNone('contained', serviceRequests(record, version, say)),
    ...unlessNone(
      'activity',
      activity.map(({ reference }) => ({
        reference: { reference: `#${reference?.reference?.split('/')[1] ?? ''}` },
      })),
    ),
  };
}

/** Where the wording of an exercise at that version is found. */
const activityUrl = (line: RecordLine): string =>
  `${SYSTEMS.exercise}:${line.exerciseId}|${planId(line)}`;

/** How each exercise of a version was worded when it was sent. */
export function activityDefinitions(record: OfPlans, version: RecordVersion): ActivityDefinition[] {
  const worded = new Map(linesOf(record, version).map((line) => [line.exerciseId, line]));
  return [...worded.values()].map((line) => {
    const { name, steps, cues } = line.exercise;
    return {
      resourceType: 'ActivityDefinition',
      id: `${requestId(line)}-e`,
      url: `${SYSTEMS.exercise}:${line.exerciseId}`,
      version: planId(line),
      title: name,
      status: 'active',
      kind: 'ServiceRequest',
      ...unlessEmpty('description', [...steps, ...cues].join('\n')),
      code: concept(name, { system: SYSTEMS.exercise, code: line.exerciseId }),
    };
  });
}
