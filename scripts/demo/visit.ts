import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type { PhotoMarks, Point } from '@/core/measures';
import { kindOf } from '@/core/measures';
import {
  type Answer,
  NOTHING_ANSWERED,
  type QuestionId,
  answerTheRestNo,
  standsFor,
} from '@/core/screen';
import { type LocalDate, addDays } from '@/core/units';
import { type Patient, openAlertsOf, patientById } from '@/db';
import { acknowledge, patientFor } from '@/server/people';
import type { PatientHere, SignedIn } from '@/server/access';
import { fileOf, saveEntry } from '@/server/visit/entries';
import { decideFinding, findingList } from '@/server/visit/findings';
import { saveMeasurements } from '@/server/visit/measuring';
import { saveMarking, takePhoto } from '@/server/visit/photos';
import { letterFor, saveReferral } from '@/server/visit/referral';
import { saveOwnScreening, saveScreening, screeningState } from '@/server/visit/screening';
import { type Pose, sideFigure } from './side-figure';
import type { DemoVisit } from './visits';

const EMPTY_HISTORY = {
  onset: '',
  aggravates: '',
  eases: '',
  morning: '',
  day: '',
  night: '',
  medicines: '',
  earlierCare: '',
  irritability: null,
};

/** Carries a visit out through the same functions as the pages do. */
export async function carryOut(
  member: SignedIn,
  patientId: string,
  complaint: string,
  visit: DemoVisit,
  date: LocalDate,
  open: () => Promise<PatientHere>,
): Promise<void> {
  await writeEntries(member, patientId, visit, date);
  if (visit.screening) await screenPatient(member, patientId, complaint, visit.screening, open);
  if (visit.measures) {
    await saveMeasurements(member, {
      patientId,
      measurements: visit.measures.map(
        ({ kind, side, trials, body, chinJut, painAtEnd, retest, instrument }) => ({
          id: randomUUID(),
          kind,
          side: side ?? null,
          position: kindOf(kind).position,
          instrument: instrument ?? kindOf(kind).instrument,
          trials: [...(trials ?? [])],
          body: (body ?? null) as never,
          note: '',
          painAtEnd: painAtEnd ?? null,
          chinJut: chinJut ?? false,
          retest: retest ? { cue: retest.cue, trials: [...retest.trials] } : null,
          supersedes: null,
        }),
      ),
    });
  }
  if (visit.photo) await photograph(member, patientId, visit.photo, date, visit.markTwice === true);
  if (visit.measures) await confirmFindings(member, patientId);
  for (const alert of await openAlertsOf(member.clinicId, [patientId]))
    if (alert.kind === 'new weakness') await acknowledge(member, alert.id);
}

async function screenPatient(
  member: SignedIn,
  patientId: string,
  complaint: string,
  screening: NonNullable<DemoVisit['screening']>,
  open: () => Promise<PatientHere>,
): Promise<void> {
  const yes: Partial<Record<QuestionId, Answer>> = {};
  for (const id of screening.yes) yes[id] = 'yes';
  for (const id of screening.no ?? []) yes[id] = 'no';
  const facts = answerTheRestNo({
    answers: yes,
    age: screening.age,
    pressure: screening.pressure ?? null,
  });
  const id = randomUUID();
  if (screening.own) {
    const own = answerTheRestNo({ ...facts, answers: yes }, 'patient');
    await saveOwnScreening(await open(), { id, answers: own.answers, age: own.age });
    return;
  }
  await saveScreening(member, { id, patientId, ...facts, fromId: null });
  const patient = await patientById(member.clinicId, patientId);
  if (!screening.refer || !patient) return;
  const { current } = await screeningState(patient);
  if (!current) return;
  const letter = await letterFor(member, patient, complaint, current);
  await saveReferral(member, {
    id: randomUUID(),
    patientId,
    screeningId: current.id,
    to: screening.refer.to,
    text: letter.replace(/^To: $|^To:$/m, `To: ${screening.refer.to}`),
  });
}

/**
 * Goes through the screening again where nothing may be sent on it: after a stop, in the answers it
 * had; for somebody who never was screened, everything "no".
 */
export async function screenAgain(member: SignedIn, patient: Patient): Promise<void> {
  const { screened, current, waiting } = await screeningState(patient);
  if (standsFor(screened)) return;
  const before = (waiting ?? current)?.answers ?? { ...NOTHING_ANSWERED, age: 40 };
  await saveScreening(member, {
    id: randomUUID(),
    patientId: patient.id,
    ...answerTheRestNo(before),
    fromId: waiting?.id ?? null,
  });
}

async function writeEntries(
  member: SignedIn,
  patientId: string,
  { history, goals, care, photo }: DemoVisit,
  date: LocalDate,
): Promise<void> {
  const entry = () => ({ id: randomUUID(), patientId, supersedes: null, on: date });
  // One of them counts: a later visit's takes the place of the one before.
  const { history: before, consent } = await fileOf(await patientFor(member, patientId));
  if (history)
    await saveEntry(member, {
      ...entry(),
      supersedes: before?.id ?? null,
      kind: 'history',
      body: { ...EMPTY_HISTORY, ...history },
    });
  for (const { activity, inDays } of goals ?? [])
    await saveEntry(member, {
      ...entry(),
      kind: 'goal',
      body: { activity, by: addDays(date, inDays), reachedOn: null },
    });
  for (const body of care ?? []) await saveEntry(member, { ...entry(), kind: 'care', body });
  if (history)
    await saveEntry(member, {
      ...entry(),
      supersedes: consent?.id ?? null,
      kind: 'consent',
      body: {
        exercise: true,
        photos: photo !== undefined,
        sharing: true,
        learning: true,
        minor: false,
        guardian: '',
      },
    });
}

/** Every mark a little off, as a second look would have it. */
function nearly(marks: PhotoMarks, by: number): PhotoMarks {
  const move = ({ x, y }: Point): Point => ({ x: x + by, y: y + by });
  return { ...marks, tragus: move(marks.tragus), c7: { x: marks.c7.x, y: marks.c7.y + by / 2 } };
}

async function photograph(
  member: SignedIn,
  patientId: string,
  pose: Pose,
  date: LocalDate,
  twice: boolean,
): Promise<void> {
  const { svg, marks } = sideFigure(pose);
  const id = randomUUID();
  const picture = await sharp(Buffer.from(svg)).png().toBuffer();
  await takePhoto(member, { id, patientId, takenOn: date }, picture);
  for (const by of twice ? [0, 3] : [0])
    await saveMarking(member, {
      id: randomUUID(),
      patientId,
      photoId: id,
      marks: nearly(marks, by),
    });
}

async function confirmFindings(member: SignedIn, patientId: string): Promise<void> {
  const patient = await patientById(member.clinicId, patientId);
  if (!patient) return;
  const { proposed } = await findingList(patient);
  // The last one is left for whoever opens the demo to decide.
  for (const finding of proposed.slice(0, Math.max(0, proposed.length - 1)))
    await decideFinding(member, {
      id: randomUUID(),
      patientId,
      key: finding.key,
      decision: 'confirmed',
      proposed: finding.say,
      say: finding.say,
      reason: '',
    });
}
