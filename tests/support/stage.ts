import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { type Answer, type QuestionId, answerTheRestNo } from '@/core/screen';
import type { MeasurementDraft } from '@/core/records';
import { type Patient, closeDatabase, patientById } from '@/db';
import { setClock } from '@/server/clock';
import { type TestClinic, makeClinic, makePatient, member, ownDomain, useDatabase } from './clinic';
import { temporaryFolder } from './server';
import { consent } from './consent';

type Member = Awaited<ReturnType<typeof member>>;

/** One clinic with a member of every role; filled before the first test of the file. */
export type Stage = {
  folder: string;
  emails: TestClinic['emails'];
  practitioner: Member;
  assistant: Member;
  lead: Member;
};

export async function fill(stage: Stage, folder: string): Promise<void> {
  await useDatabase(folder);
  const { emails } = await makeClinic('harbour', ownDomain());
  stage.folder = folder;
  stage.emails = emails;
  stage.practitioner = await member(emails.practitioner);
  stage.assistant = await member(emails.assistant);
  stage.lead = await member(emails.lead);
}

/** A database of the file's own, for tests that call the server's functions. */
export function databaseStage(name: string): Stage {
  const stage = {} as Stage;
  beforeAll(() => fill(stage, temporaryFolder(name)));
  afterAll(() => {
    setClock(null);
    closeDatabase();
    rmSync(stage.folder, { recursive: true, force: true });
  });
  return stage;
}

export async function patientOf({ practitioner }: Stage, id: string): Promise<Patient> {
  const patient = await patientById(practitioner.clinicId, id);
  if (!patient) throw new Error('no patient');
  return patient;
}

/** A patient who has agreed to photos. */
export async function photographable({ practitioner }: Stage): Promise<string> {
  const id = await makePatient(practitioner);
  await consent(practitioner, id, { photos: true, sharing: true });
  return id;
}

/** A screening in which everything is "no" but for these. */
export function screening(patientId: string, yes: readonly QuestionId[], id = randomUUID()) {
  const answers: Partial<Record<QuestionId, Answer>> = {};
  for (const one of yes) answers[one] = 'yes';
  return { id, patientId, fromId: null, ...answerTheRestNo({ answers, age: 40, pressure: null }) };
}

/** One measurement, a left neck turn unless said otherwise. */
export function measure(change: Partial<MeasurementDraft>): MeasurementDraft {
  return {
    id: randomUUID(),
    kind: 'neck-turn',
    side: 'left',
    position: 'sitting',
    instrument: 'inclinometer',
    trials: [60],
    body: null,
    note: '',
    painAtEnd: null,
    chinJut: false,
    retest: null,
    supersedes: null,
    ...change,
  };
}
