import { isDeepStrictEqual } from 'node:util';
import { bodyInWords, formatMeasure, kindOf, wordsOf } from '@/core/measures';
import type { VisitNoteDraft } from '@/core/records';
import { OUTCOME_NAMES, yesInWords } from '@/core/screen';
import { irritability } from '@/core/symptoms';
import { type NoteText, taughtInWords, visitNote } from '@/core/teach';
import { sessionSeconds, sessionTimeline } from '@/core/timeline';
import { type LocalDate, formatRange, shortDay } from '@/core/units';
import {
  type Patient,
  forgetVisitDraft,
  insertVisitNote,
  membersOf,
  teachBacksOf,
  visitNotesOf,
} from '@/db';
import { type SignedIn, roleSuffices } from '../access';
import { patientFor } from '../people';
import { todayOf } from '../programme-facts';
import { fileOf } from './entries';
import { findingList } from './findings';
import { type Measure, latestMeasures } from './measuring';
import { screeningState } from './screening';
import { newestVersion } from './newest-version';
import { keptVisitDraft } from './visit-drafts';
import { writeAs } from './write-as';

function measureInWords({ kind, side, value, body, trials }: Measure): string {
  const said =
    value === null || kindOf(kind).unit === ''
      ? bodyInWords({ value, body })
      : formatMeasure(kind, value);
  const spread = trials.length > 1 ? ` (trials ${trials.map((t) => t.toFixed(0)).join(', ')})` : '';
  return `${wordsOf(kind, side)}: ${said}${spread}`;
}

/** A draft of today's note, from what is in the record. */
export async function draftNote(patient: Patient, complaint: string): Promise<NoteText> {
  const today = todayOf(patient);
  const [file, screening, measures, findings, version, teachings] = await Promise.all([
    fileOf(patient),
    screeningState(patient),
    latestMeasures(patient),
    findingList(patient),
    newestVersion(patient),
    teachBacksOf(patient.clinicId, patient.id, 1),
  ]);
  const history = file.history?.body;
  const found = history?.irritability ? irritability(history.irritability) : null;
  const taught = teachings.find((row) => row.localDate === today);
  const names = new Map((version?.lines ?? []).map((l) => [l.lineage, l.exercise.name]));
  return visitNote({
    complaint,
    history: history
      ? [
          ['Onset', history.onset],
          ['Aggravated by', history.aggravates],
          ['Eased by', history.eases],
          ['Morning', history.morning],
          ['Through the day', history.day],
          ['At night', history.night],
          ['Medicines', history.medicines],
          ['Earlier treatment', history.earlierCare],
        ]
      : [],
    irritability: found ? `Irritability ${found.level}: ${found.reasons.join(', ')}.` : null,
    goals: file.goals
      .filter(({ body }) => body.reachedOn === null)
      .map(({ body }) => `${body.activity}${body.by ? ` by ${shortDay(body.by)}` : ''}`),
    screening: screening.current
      ? [
          `${screening.outcome ? OUTCOME_NAMES[screening.outcome] : 'Not finished'}, ${shortDay(screening.current.localDate)}`,
          ...yesInWords(screening.current.answers),
        ]
      : screening.screened === 'on paper' && file.onPaper
        ? [
            `Screened on paper on ${shortDay(file.onPaper.body.screenedOn)}: ${file.onPaper.body.why}`,
          ]
        : ['Not screened.'],
    measures: measures.filter(({ on }) => on === today).map(measureInWords),
    findings: findings.confirmed.map(({ say }) => say),
    programme: version && {
      heading: `Programme version ${version.number} from ${shortDay(version.effectiveFrom)}:`,
      lines: version.lines.map((line) => `${line.exercise.name}: ${line.text}`),
      time: `Gone through once with rests and changes: ${formatRange(
        sessionSeconds(sessionTimeline(version.lines, version.rounds)),
      )}.`,
    },
    teaching: taught
      ? taught.body.lines.map((line) => taughtInWords(names.get(line.lineage) ?? '', line))
      : [],
    review: version?.reviewOn ? `Review on ${shortDay(version.reviewOn)}.` : null,
  });
}

export type SignedNote = NoteText & {
  readonly id: string;
  readonly on: LocalDate;
  readonly by: string;
};

/** The note page: the draft, the member's own unsigned text, and what was signed. */
export async function noteStep(member: SignedIn, patient: Patient, complaint: string) {
  const [draft, rows, members, kept] = await Promise.all([
    draftNote(patient, complaint),
    visitNotesOf(patient.clinicId, patient.id, 50),
    membersOf(patient.clinicId),
    roleSuffices(member.role, 'practitioner') ? keptVisitDraft(member, patient.id, 'note') : null,
  ]);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  return {
    draft,
    kept,
    signed: rows.map((row): SignedNote => ({
      ...row.body,
      id: row.id,
      on: row.localDate,
      by: names.get(row.authorId) ?? '',
    })),
  };
}

/** Signs a note. A later one stands beside it. */
export async function signNote(member: SignedIn, draft: VisitNoteDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const { subjective, objective, assessment, plan } = draft;
  const body = { subjective, objective, assessment, plan };
  await writeAs(member, 'practitioner', {
    verb: 'signed',
    subject: { kind: 'visit-note', id: draft.id },
    statements: (at) => [
      ...insertVisitNote({
        clinicId,
        id: draft.id,
        patientId: patient.id,
        localDate: todayOf(patient),
        body,
        authorId: member.id,
        createdAt: at,
      }),
      forgetVisitDraft({ clinicId, patientId: patient.id, memberId: member.id, kind: 'note' }),
    ],
    isThere: async () =>
      (await visitNotesOf(clinicId, patient.id)).some(
        (row) => row.id === draft.id && isDeepStrictEqual(row.body, body),
      ),
  });
}
