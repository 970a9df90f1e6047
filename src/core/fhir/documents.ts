import type { DocumentReference } from 'fhir/r4';
import { type WholeRecord, type Written, letterText, noteText } from '../whole-record';
import { author } from './people';
import { base64, concept, instantText, refer } from './words';

type OfDocuments = Pick<
  WholeRecord,
  'patient' | 'members' | 'notes' | 'letters' | 'referrals' | 'referralAnswers'
>;

/** Notes, letters, referrals and their answers, with their text in them. */
export function documents(record: OfDocuments): DocumentReference[] {
  const make = (row: Written, type: string, title: string, text: string) =>
    document(record, row, { type, title, text });
  return [
    ...record.notes.map((row) =>
      make(row, 'visit note', `Note of ${row.localDate}`, noteText(row.body)),
    ),
    ...record.letters.map((row) =>
      make(
        row,
        `${row.kind} letter`,
        `${row.kind === 'review' ? 'Review' : 'Discharge'} of ${row.localDate}`,
        letterText(row.body),
      ),
    ),
    ...record.referrals.map((row) =>
      make(row, 'referral', `Referral to ${row.to}, ${row.localDate}`, row.text),
    ),
    ...record.referralAnswers.map((row) =>
      make(row, 'answer to a referral', `Answer of ${row.answeredOn}`, row.text),
    ),
  ];
}

function document(
  record: OfDocuments,
  row: Written,
  { type, title, text }: { type: string; title: string; text: string },
): DocumentReference {
  return {
    resourceType: 'DocumentReference',
    id: row.id,
    status: 'current',
    type: concept(type),
    subject: refer('Patient', record.patient.id),
    date: instantText(row.createdAt),
    author: [author(record, row.authorId)],
    description: title,
    content: [
      {
        attachment: {
          contentType: 'text/plain; charset=utf-8',
          data: base64(text === '' ? title : text),
          title,
        },
      },
    ],
    ...(row.visitId === null ? {} : { context: { encounter: [refer('Encounter', row.visitId)] } }),
  };
}
