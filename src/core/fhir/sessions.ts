import type { Annotation, Procedure } from 'fhir/r4';
import { type RecordEvent, type WholeRecord, sessionsOf } from '../whole-record';
import { planId } from './plan';
import { concept, instantText, refer, unlessNone } from './words';
import { percentText } from '../units';

type OfSessions = Pick<WholeRecord, 'patient' | 'events' | 'lines'>;

/**
 * The sessions a patient did, each a procedure based on the version it was played from. What was told in
 * them stands in observations.
 */
export function procedures(record: OfSessions): Procedure[] {
  return sessionsOf(record.events).map((events) => procedure(record, events));
}

function procedure(
  { patient, lines }: OfSessions,
  events: readonly [RecordEvent, ...RecordEvent[]],
): Procedure {
  const moments = events.map(({ deviceAt, skewMs }) => deviceAt + skewMs);
  const [first] = events;
  const stop = events.find(({ body }) => body.type === 'stopped')?.body;
  const ended = events.some(({ body }) => body.type === 'ended');
  return {
    resourceType: 'Procedure',
    id: first.sessionId,
    basedOn: [refer('CarePlan', planId({ ...first, number: first.version }))],
    status: stop ? 'stopped' : ended ? 'completed' : 'unknown',
    ...(stop?.type === 'stopped' ? { statusReason: concept(stop.because) } : {}),
    code: concept('Session of a home exercise programme'),
    subject: refer('Patient', patient.id),
    performedPeriod: {
      start: instantText(Math.min(...moments)),
      end: instantText(Math.max(...moments)),
    },
    performer: [{ actor: refer('Patient', patient.id) }],
    ...unlessNone('note', notes(events, lines)),
  };
}

/** What was done of each exercise, as the device counted it. */
function notes(events: readonly RecordEvent[], lines: WholeRecord['lines']): Annotation[] {
  return events.flatMap(({ body, programmeId, version }) => {
    if (body.type !== 'line' && body.type !== 'told') return [];
    const name =
      lines.find(
        (line) =>
          line.lineage === body.lineage &&
          line.programmeId === programmeId &&
          line.number === version,
      )?.exercise.name ?? 'an exercise';
    if (body.type === 'told')
      return [{ text: `${name}: ${percentText(body.share)} of it, as told without a device` }];
    const held = Math.round(body.reps.reduce((sum, rep) => sum + rep.held, 0));
    const did = `${body.reps.length} repetitions, ${held} s held`;
    return [{ text: `${name}: ${body.skipped === null ? did : `left out (${body.skipped})`}` }];
  });
}
