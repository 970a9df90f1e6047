import type { QuestionnaireResponse, QuestionnaireResponseItem } from 'fhir/r4';
import { BACK_SECTIONS, NECK_SECTIONS } from '../measures';
import { askedIn } from '../screen';
import type { RecordMeasurement, RecordScreening, WholeRecord } from '../whole-record';
import { atVisit, author } from './people';
import { SYSTEMS, instantText, refer } from './words';

type OfAnswers = Pick<WholeRecord, 'patient' | 'members'>;

/**
 * A screening with the answers that were given. A question nobody answered is not in it: it is not a
 * "no". One that was answered in part only is in progress.
 */
export function screeningResponse(
  record: OfAnswers,
  screening: RecordScreening,
): QuestionnaireResponse {
  const { id, answers, outcome, visitId, createdAt, authorId } = screening;
  const numbers = [
    answers.age === null ? null : number('age', 'Age in years', answers.age),
    answers.pressure &&
      number('systolic', 'Systolic pressure at rest, mmHg', answers.pressure.systolic),
    answers.pressure &&
      number('diastolic', 'Diastolic pressure at rest, mmHg', answers.pressure.diastolic),
  ].filter((item) => item !== null);
  return {
    resourceType: 'QuestionnaireResponse',
    id,
    questionnaire: 'urn:dry-lantern:questionnaire:screening',
    status: outcome === 'unfinished' ? 'in-progress' : 'completed',
    subject: refer('Patient', record.patient.id),
    ...atVisit(visitId),
    authored: instantText(createdAt),
    author: author(record, authorId),
    ...(screening.byPatient ? { source: refer('Patient', record.patient.id) } : {}),
    item: [
      ...Object.entries(answers.answers).map(([question, answer]): QuestionnaireResponseItem => ({
        linkId: question,
        text: askedIn(question),
        answer: [{ valueCoding: { system: SYSTEMS.answer, code: answer } }],
      })),
      ...numbers,
      {
        linkId: 'outcome',
        text: 'What it came to at the time',
        answer: [{ valueString: outcome }],
      },
    ],
  };
}

function number(linkId: string, text: string, value: number): QuestionnaireResponseItem {
  return {
    linkId,
    text,
    answer: [Number.isInteger(value) ? { valueInteger: value } : { valueDecimal: value }],
  };
}

/** An index of ten sections as a questionnaire; null for any other measurement. */
export function indexResponse(
  record: OfAnswers,
  row: RecordMeasurement,
): QuestionnaireResponse | null {
  const body = row.details?.body;
  if (body?.form !== 'sections') return null;
  const sections: readonly string[] = row.kind === 'back-index' ? BACK_SECTIONS : NECK_SECTIONS;
  return {
    resourceType: 'QuestionnaireResponse',
    id: `${row.id}-q`,
    questionnaire: `urn:dry-lantern:questionnaire:${row.kind}`,
    status: body.scores.includes(null) ? 'in-progress' : 'completed',
    subject: refer('Patient', record.patient.id),
    ...atVisit(row.visitId),
    authored: instantText(row.createdAt),
    author: author(record, row.authorId),
    item: body.scores.map((score, at) => ({
      linkId: String(at + 1),
      text: sections[at] ?? `Section ${at + 1}`,
      ...(score === null ? {} : { answer: [{ valueInteger: score }] }),
    })),
  };
}
