import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { answerTheRestNo } from '@/core/screen';
import { insertAlert, patientById, updateClinic, versionsOf, write } from '@/db';
import { now, setClock } from '@/server/clock';
import { proposalsOf } from '@/server/follow/proposals';
import { signLetter } from '@/server/follow/letter';
import { takeIn } from '@/server/take-in';
import { revokeLink } from '@/server/links';
import { issueCalendar } from '@/server/patient/calendar';
import { signOut } from '@/server/sign-in';
import { saveExercise } from '@/server/desk/exercises';
import { saveTemplate } from '@/server/desk/templates';
import { saveEntry } from '@/server/visit/entries';
import { saveMeasurements } from '@/server/visit/measuring';
import { saveMarking, takePhoto } from '@/server/visit/photos';
import { takeSetUpPhoto } from '@/server/visit/set-up-photos';
import { saveReferral } from '@/server/visit/referral';
import { saveScreening } from '@/server/visit/screening';
import {
  aTemplate,
  device,
  instant,
  makeClinic,
  makePatient,
  member,
  ownDraft,
  prescribe,
  today,
  useDatabase,
} from '../support/clinic';

export type Identity =
  | 'nobody'
  | 'lead'
  | 'practitioner'
  | 'assistant'
  | 'other clinic’s lead'
  | 'patient'
  | 'other patient'
  | 'patient with an ended link'
  | 'signed-out member';

export const EVERYBODY: readonly Identity[] = [
  'nobody',
  'lead',
  'practitioner',
  'assistant',
  'other clinic’s lead',
  'patient',
  'other patient',
  'patient with an ended link',
  'signed-out member',
];
export const LEAD: readonly Identity[] = ['lead'];
export const PRACTITIONERS: readonly Identity[] = ['lead', 'practitioner'];
export const MEMBERS: readonly Identity[] = ['lead', 'practitioner', 'assistant'];

export const NAME = 'Wrasse Pelorus';

/** Who walks, and what the routes are aimed at; filled before the walk. */
export const world = {
  ids: {} as Record<Identity, string>,
  clinicIds: [] as readonly string[],
  patientId: '',
  programmeId: '',
  lineage: '',
  episodeId: '',
  leadId: '',
  paperId: randomUUID() as string,
  practitionerId: '',
  assistantId: '',
  /** Somebody whose record nothing else is asked of. */
  erasableId: '',
  screeningId: '',
  referralId: '',
  entryId: '',
  measureId: '',
  photoId: '',
  setUpPhotoId: '',
  letterId: '',
  /** What a session with too much pain asks for. */
  proposalKey: '',
  exerciseId: '',
  templateId: '',
  picture: Buffer.alloc(0),
  /** What stands in the calendar's address; a new address ends it. */
  calendarToken: '',
};

/**
 * Two clinics, everybody in them, and a visit of the first clinic's patient.
 *
 * @param clock to go by; the real one unless it is given
 * @param domain of a clinic's addresses; of their own where others use the database too
 */
export async function makeWorld(
  folder: string,
  clock: (() => number) | null = null,
  domain: () => string | undefined = () => undefined,
): Promise<void> {
  setClock(clock);
  await useDatabase(folder);
  const clinic = await makeClinic('harbour', domain());
  const other = await makeClinic('inland', domain());
  world.clinicIds = [clinic.id, other.id];
  const lead = await member(clinic.emails.lead);
  const practitioner = await member(clinic.emails.practitioner);
  const assistant = await member(clinic.emails.assistant);
  world.leadId = lead.id;
  world.practitionerId = practitioner.id;
  world.assistantId = assistant.id;
  world.erasableId = await makePatient(practitioner, 'Erasable');
  const signedOut = await member(clinic.emails.lead);
  await signOut(signedOut);
  world.patientId = await makePatient(practitioner, NAME);
  await liveBefore(practitioner, clock);
  await makeVisit(practitioner);
  world.exerciseId = randomUUID();
  await saveExercise(practitioner, { id: world.exerciseId, exercise: ownDraft('Own') });
  world.templateId = randomUUID();
  await saveTemplate(practitioner, aTemplate('Own', world.templateId));
  await write(() => [
    insertAlert({
      clinicId: clinic.id,
      id: 'alert-1',
      patientId: world.patientId,
      kind: 'conflicting log',
      createdAt: instant(1),
    }),
  ]);
  world.letterId = randomUUID();
  await signLetter(practitioner, {
    id: world.letterId,
    patientId: world.patientId,
    kind: 'review',
    words: '',
    forReferrer: false,
  });
  const here = await device(practitioner, world.patientId);
  world.calendarToken = (await issueCalendar(here)).token;
  const otherPatient = await makePatient(practitioner, 'Somebody Else');
  const ended = await device(practitioner, await makePatient(practitioner, 'Ended'));
  await revokeLink(practitioner, ended.id);
  world.ids = {
    nobody: '',
    lead: `dl_member=${lead.token}`,
    practitioner: `dl_member=${practitioner.token}`,
    assistant: `dl_member=${assistant.token}`,
    'other clinic’s lead': `dl_member=${(await member(other.emails.lead)).token}`,
    patient: `dl_patient=${here.token}`,
    'other patient': `dl_patient=${(await device(practitioner, otherPatient)).token}`,
    'patient with an ended link': `dl_patient=${ended.token}`,
    'signed-out member': `dl_member=${signedOut.token}`,
  };
}

/** The members of the first clinic while it wants a second factor, which none of them has. */
export async function whileFactorIsWanted(work: () => Promise<void>): Promise<void> {
  const wanted = (factorRequired: boolean) =>
    write(() => [updateClinic(world.clinicIds[0] ?? '', { factorRequired })]);
  await wanted(true);
  try {
    await work();
  } finally {
    await wanted(false);
  }
}

/** The patient's programme began the day before yesterday, and its only session hurt too much. */
async function liveBefore(
  by: Awaited<ReturnType<typeof member>>,
  clock: (() => number) | null,
): Promise<void> {
  const then = now() - 2 * 86_400_000;
  setClock(() => then);
  await prescribe(by, world.patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const [version] = (await versionsOf(by.clinicId, [world.patientId])).get(world.patientId) ?? [];
  world.programmeId = version?.version.programmeId ?? '';
  world.lineage = version?.lines[0]?.lineage ?? '';
  world.episodeId = version?.version.episodeId ?? '';
  const rep = {
    round: 1,
    side: null,
    direction: 1,
    station: 1,
    set: 1,
    rep: 1,
    held: 10,
    moved: 0,
  };
  const bodies = [
    { type: 'started' },
    { type: 'line', lineage: world.lineage, reps: [rep], skipped: null },
    { type: 'ended' },
    { type: 'check-in', pain: 8, effort: 5, word: '' },
  ] as const;
  const sessionId = randomUUID();
  await takeIn(await device(by, world.patientId), {
    sentAt: then,
    events: bodies.map((body, index) => ({
      id: randomUUID(),
      sessionId,
      sessionKey: 'session-1',
      programmeId: world.programmeId,
      version: 1,
      deviceAt: then,
      offsetMs: index,
      body: body as never,
    })),
  });
  setClock(clock);
  const patient = await patientById(by.clinicId, world.patientId);
  world.proposalKey = (patient && (await proposalsOf(patient)))?.open[0]?.key ?? '';
}

export const MARKS = {
  facing: 'right',
  tragus: { x: 300, y: 200 },
  c7: { x: 200, y: 300 },
  shoulder: null,
  eye: null,
  reference: null,
  scale: null,
} as const;

export function aMeasure() {
  return {
    id: randomUUID(),
    kind: 'pain-now',
    side: null,
    position: 'sitting',
    instrument: 'questionnaire',
    trials: [3],
    body: null,
    note: '',
    painAtEnd: null,
    chinJut: false,
    retest: null,
    supersedes: null,
  } as const;
}

/** A visit of the first patient: what the routes are aimed at. */
export async function makeVisit(by: Awaited<ReturnType<typeof member>>): Promise<void> {
  const facts = answerTheRestNo({ answers: { fever: 'yes' }, age: 40, pressure: null });
  world.screeningId = randomUUID();
  await saveScreening(by, {
    id: world.screeningId,
    patientId: world.patientId,
    ...facts,
    fromId: null,
  });
  world.referralId = randomUUID();
  await saveReferral(by, {
    id: world.referralId,
    patientId: world.patientId,
    screeningId: world.screeningId,
    to: 'x',
    text: 'x',
  });
  const entry = { patientId: world.patientId, supersedes: null, on: today() };
  const agreed = {
    exercise: true,
    photos: true,
    sharing: true,
    learning: false,
    minor: false,
    guardian: '',
  };
  await saveEntry(by, { ...entry, id: randomUUID(), kind: 'consent', body: agreed });
  world.entryId = randomUUID();
  await saveEntry(by, {
    ...entry,
    id: world.entryId,
    kind: 'care',
    body: { kind: 'other', what: 'x' },
  });
  const asking = { ...entry, kind: 'photo-request' } as const;
  await saveEntry(by, { ...asking, id: randomUUID(), body: { note: 'x' } });
  const measure = aMeasure();
  world.measureId = measure.id;
  await saveMeasurements(by, {
    patientId: world.patientId,
    measurements: [{ ...measure, trials: [3] }],
  });
  world.picture = await sharp({
    create: { width: 400, height: 600, channels: 3, background: '#888888' },
  })
    .png()
    .toBuffer();
  world.photoId = randomUUID();
  await takePhoto(
    by,
    { id: world.photoId, patientId: world.patientId, takenOn: today() },
    world.picture,
  );
  world.setUpPhotoId = randomUUID();
  await takeSetUpPhoto(
    by,
    { id: world.setUpPhotoId, patientId: world.patientId, lineage: world.lineage },
    world.picture,
  );
  await saveMarking(by, {
    id: randomUUID(),
    patientId: world.patientId,
    photoId: world.photoId,
    marks: MARKS,
  });
}
