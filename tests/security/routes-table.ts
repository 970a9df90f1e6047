import { randomUUID } from 'node:crypto';
import { NO_DETAILS } from '@/core/records';
import { untaught } from '@/core/teach';
import { TRIAGE_LIMITS } from '@/core/triage';
import { now } from '@/server/clock';
import { PASSWORD, aTemplate, ownDraft, programmeText, today } from '../support/clinic';
import {
  type Identity,
  EVERYBODY,
  LEAD,
  MARKS,
  NAME,
  MEMBERS,
  PRACTITIONERS,
  aMeasure,
  world,
} from './world';

/** A row of a table of patients. */
const importedRow = () => ({
  id: randomUUID(),
  name: 'Tabled Person',
  complaint: 'x',
  birthDate: null,
  phone: '',
  email: '',
  clinicNumber: '',
  minutesADay: null,
  another: true,
});

export type RouteRule = {
  /** Who may; everybody else must be refused. */
  readonly may: readonly Identity[];
  /** A valid record, aimed at the first clinic's patient. */
  readonly body: () => unknown;
  readonly method?: 'GET';
  /** What stands in the address. */
  readonly query?: () => string;
  /** A file instead of a record. */
  readonly file?: () => Buffer;
  /** May be called by anyone; refused only for a wrong secret. */
  readonly open?: true;
  /** Allowed, but a second clinic's lead acts in a clinic of their own. */
  readonly ownClinicOnly?: true;
};

export const ROUTES: Readonly<Record<string, RouteRule>> = {
  'sign-in': {
    may: EVERYBODY,
    open: true,
    body: () => ({ email: 'lead@harbour.example', password: 'wrong' }),
  },
  'sign-out': { may: [], body: () => ({}) },
  'first-run': {
    may: EVERYBODY,
    open: true,
    body: () => ({
      code: 'wrong',
      clinic: { name: 'x', phone: '1', emergencyText: 'x', zone: 'UTC' },
      lead: { id: randomUUID(), name: 'x', email: 'x@x.example', password: PASSWORD },
    }),
  },
  patients: {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({
      id: randomUUID(),
      name: 'New',
      complaint: 'Neck',
      zone: 'UTC',
      wakeMinute: 420,
      sleepMinute: 1320,
      minutesADay: null,
    }),
  },
  programmes: {
    may: PRACTITIONERS,
    body: () => ({
      patientId: world.patientId,
      basedOn: 2,
      effectiveFrom: today(1),
      reviewOn: null,
      rounds: 1,
      reason: '',
      lines: [{ lineage: null, exerciseId: 'tuck-lying', dose: '10x10s' }],
    }),
  },
  pauses: { may: PRACTITIONERS, body: () => ({ patientId: world.patientId, paused: false }) },
  links: { may: MEMBERS, body: () => ({ patientId: world.patientId }) },
  'links/revoke': { may: MEMBERS, body: () => ({ patientId: world.patientId }) },
  members: {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({
      id: randomUUID(),
      name: 'x',
      email: `${randomUUID()}@x.example`,
      role: 'assistant',
    }),
  },
  'members/role': { may: LEAD, body: () => ({ memberId: world.assistantId, role: 'assistant' }) },
  'members/allow': {
    may: LEAD,
    body: () => ({
      memberId: world.assistantId,
      sees: 'all',
      practitioners: [],
      issuesLinks: true,
    }),
  },
  'members/factor': { may: LEAD, body: () => ({ memberId: world.assistantId }) },
  'own-drafts': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ kind: 'new patient', fields: { name: 'Wren' } }),
  },
  'patients/erase': {
    may: LEAD,
    body: () => ({
      patientId: world.erasableId,
      name: 'Erasable',
      reason: 'asked',
      password: PASSWORD,
      documentsSeen: true,
    }),
  },
  'patients/correct': {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      name: NAME,
      birthDate: null,
      contact: '+000 1',
      was: { name: NAME, birthDate: null, contact: '' },
    }),
  },
  'patients/open': {
    may: MEMBERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      reason: 'Covers for somebody',
    }),
  },
  'patients/hand-over': {
    may: LEAD,
    body: () => ({ from: world.practitionerId, to: world.leadId, patientId: world.patientId }),
  },
  'clinic/keeping': {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({
      privacyText: '',
      keepYears: 10,
      linkDays: 30,
      deviceDays: 180,
      factorRequired: false,
    }),
  },
  'devices/end': { may: MEMBERS, body: () => ({ patientId: world.patientId, device: 'over' }) },
  'account/factor/begin': {
    may: MEMBERS,
    ownClinicOnly: true,
    body: () => ({ password: PASSWORD }),
  },
  'account/factor/confirm': { may: MEMBERS, ownClinicOnly: true, body: () => ({ code: '000000' }) },
  'account/factor/codes': {
    may: MEMBERS,
    ownClinicOnly: true,
    body: () => ({ password: PASSWORD }),
  },
  'account/factor/remove': {
    may: MEMBERS,
    ownClinicOnly: true,
    body: () => ({ password: PASSWORD }),
  },
  'patient/notice': {
    may: ['patient', 'other patient'],
    file: () => Buffer.alloc(0),
    body: () => ({}),
  },
  'members/reset': { may: LEAD, body: () => ({ memberId: world.assistantId }) },
  'account/password': {
    may: MEMBERS,
    ownClinicOnly: true,
    body: () => ({ old: PASSWORD, password: PASSWORD }),
  },
  'account/sessions': { may: MEMBERS, ownClinicOnly: true, body: () => ({ session: 'over' }) },
  reset: { may: EVERYBODY, open: true, body: () => ({ token: 'none', password: PASSWORD }) },
  'audit/file': {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({ show: 'looks', who: null, from: null, to: null }),
  },
  'clinic/mail': {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({
      on: false,
      host: '127.0.0.1',
      port: 9,
      security: 'starttls',
      user: '',
      password: '',
      from: 'clinic@mail.example',
      mostADay: 100,
    }),
  },
  'clinic/mail/test': { may: LEAD, ownClinicOnly: true, body: () => ({ test: true }) },
  'mail/stop': { may: EVERYBODY, open: true, body: () => ({ token: 'none' }) },
  'patients/import': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ zone: 'UTC', rows: [importedRow()] }),
  },
  'patients/import/check': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ rows: [importedRow()] }),
  },
  'patients/seek': {
    may: MEMBERS,
    ownClinicOnly: true,
    body: () => ({ typed: 'a' }),
  },
  'patients/details': {
    may: MEMBERS,
    body: () => ({ patientId: world.patientId, basedOn: 0, details: NO_DETAILS }),
  },
  'patients/archive': {
    may: PRACTITIONERS,
    body: () => ({ patientId: world.patientId, archived: false }),
  },
  episodes: {
    may: PRACTITIONERS,
    body: () => ({ id: randomUUID(), patientId: world.patientId, complaint: 'x', area: null }),
  },
  'episodes/complaint': {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      episodeId: randomUUID(),
      complaint: 'x',
      area: null,
      was: { complaint: '', area: null },
    }),
  },
  'evidence/file': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ by: 'complaint' }),
  },
  'members/active': { may: LEAD, body: () => ({ memberId: world.assistantId, active: true }) },
  clinic: {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({ name: 'x', phone: '1', emergencyText: 'x', zone: 'UTC' }),
  },
  proposals: {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      key: world.proposalKey,
      version: 1,
      decision: 'accepted',
      dose: null,
      reason: '',
    }),
  },
  'proposals/send': {
    may: PRACTITIONERS,
    body: () => ({ patientId: world.patientId, basedOn: 1, effectiveFrom: today(1) }),
  },
  'keep-going': {
    may: PRACTITIONERS,
    body: () => ({ patientId: world.patientId, basedOn: 3 }),
  },
  letters: {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      kind: 'review',
      words: 'x',
      forReferrer: true,
    }),
  },
  'letters/file': {
    may: MEMBERS,
    body: () => ({ patientId: world.patientId, id: world.letterId, paper: 'a4' }),
  },
  'triage/marks': {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      // An open alert cannot be put aside, but a mark can always be taken back.
      kind: 'back',
      rule: 'x',
      days: 0,
      reason: '',
    }),
  },
  'triage/limits': { may: LEAD, ownClinicOnly: true, body: () => TRIAGE_LIMITS },
  'alerts/acknowledge': { may: PRACTITIONERS, body: () => ({ alertId: 'alert-1' }) },
  'patient/open': {
    may: EVERYBODY,
    open: true,
    body: () => ({ token: 'a-token-that-was-never-issued' }),
  },
  'screenings/decide': {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      screeningId: world.screeningId,
      action: 'other',
      what: 'Asked',
      why: 'To know',
      mayPrescribe: true,
    }),
  },
  referrals: {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      screeningId: world.screeningId,
      to: 'Somebody',
      text: 'Letter',
    }),
  },
  'referrals/answer': {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      referralId: world.referralId,
      answeredOn: today(),
      text: 'Answer',
    }),
  },
  screenings: {
    may: MEMBERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      answers: {},
      age: 40,
      pressure: null,
      fromId: null,
    }),
  },
  'patient/screening': {
    may: ['patient', 'other patient'],
    body: () => ({ id: randomUUID(), answers: { fever: 'no' }, age: null }),
  },
  entries: {
    may: MEMBERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      kind: 'care',
      supersedes: null,
      on: today(),
      body: { kind: 'other', what: 'x' },
    }),
  },
  'entries/withdraw': {
    may: MEMBERS,
    body: () => ({ id: randomUUID(), patientId: world.patientId, supersedes: world.entryId }),
  },
  measurements: {
    may: MEMBERS,
    body: () => ({ patientId: world.patientId, measurements: [aMeasure()] }),
  },
  'measurements/withdraw': {
    may: MEMBERS,
    body: () => ({ id: randomUUID(), patientId: world.patientId, supersedes: world.measureId }),
  },
  'measurements/detectable': {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({ kind: 'neck-turn', own: { margin: { by: 7 }, source: 'ours' } }),
  },
  findings: {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      key: 'added: x',
      decision: 'added',
      proposed: null,
      say: 'Something',
      towards: '',
      source: '',
      cue: null,
      reason: '',
    }),
  },
  'teach-backs': {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      programmeId: world.programmeId,
      version: 1,
      lines: [untaught(world.lineage)],
      closing: { doseSaidAgain: false, dayToComeBack: false },
    }),
  },
  'visit-notes': {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      subjective: 'x',
      objective: '',
      assessment: '',
      plan: '',
    }),
  },
  'visit-drafts': {
    may: MEMBERS,
    body: () => ({ patientId: world.patientId, kind: 'note', body: '{}' }),
  },
  handouts: {
    may: MEMBERS,
    body: () => ({
      patientId: world.patientId,
      format: 'html',
      paper: 'a4',
      large: false,
      link: null,
    }),
  },
  photos: {
    may: MEMBERS,
    query: () => `?id=${randomUUID()}&patientId=${world.patientId}&takenOn=${today()}`,
    file: () => world.picture,
    body: () => null,
  },
  'photos/set-up': {
    may: PRACTITIONERS,
    query: () => `?id=${randomUUID()}&patientId=${world.patientId}&lineage=${world.lineage}`,
    file: () => world.picture,
    body: () => null,
  },
  'photos/marks': {
    may: MEMBERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      photoId: world.photoId,
      marks: MARKS,
    }),
  },
  'photos/picture': {
    may: MEMBERS,
    method: 'GET',
    query: () => `?id=${world.photoId}`,
    body: () => null,
  },
  'photos/delete': {
    may: PRACTITIONERS,
    body: () => ({ patientId: world.patientId, photoId: world.photoId }),
  },
  exercises: {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ id: randomUUID(), exercise: ownDraft(randomUUID()) }),
  },
  'exercises/retire': { may: PRACTITIONERS, body: () => ({ id: world.exerciseId }) },
  'exercises/import': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ format: 'json', text: JSON.stringify([ownDraft(randomUUID())]) }),
  },
  'exercises/file': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    method: 'GET',
    query: () => '?format=csv&of=own',
    body: () => null,
  },
  templates: {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => aTemplate(randomUUID()),
  },
  'templates/retire': { may: PRACTITIONERS, body: () => ({ id: world.templateId }) },
  'ready-programmes/offer': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ id: 'ten-by-ten', offered: false }),
  },
  'ready-programmes/copy': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ id: randomUUID(), readyId: 'ten-by-ten' }),
  },
  'programme-files': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({
      id: randomUUID(),
      name: randomUUID(),
      text: programmeText(ownDraft(randomUUID())),
    }),
  },
  'programme-files/preview': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ text: programmeText(ownDraft(randomUUID())) }),
  },
  'programme-files/file': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    method: 'GET',
    query: () => '?of=ready&id=ten-by-ten',
    body: () => null,
  },
  'patients/find': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ name: 'a', exerciseId: 'tuck-lying' }),
  },
  drafts: {
    may: PRACTITIONERS,
    body: () => ({ patientId: world.patientId, basedOn: 1, desk: '{}' }),
  },
  'clinic/bands': { may: LEAD, ownClinicOnly: true, body: () => ({ bands: [] }) },
  'patient/events': {
    may: ['patient', 'other patient'],
    body: () => ({ sentAt: now(), events: [eventBody()] }),
  },
  'patient/settings': {
    may: ['patient', 'other patient'],
    body: () => ({
      id: randomUUID(),
      language: 'en',
      minutesADay: 10,
      wakeMinute: 420,
      sleepMinute: 1320,
      props: [],
      reminders: {
        sessions: false,
        posture: false,
        channel: 'text',
        address: '',
        quiet: { from: 0, to: 0 },
      },
    }),
  },
  'patient/pauses': {
    may: ['patient', 'other patient'],
    body: () => ({ id: randomUUID(), from: today(40), to: today(41), reason: 'ill' }),
  },
  'patient/birth': {
    may: ['patient', 'other patient'],
    body: () => ({ birthDate: '1990-01-01' }),
  },
  'patient/photos': {
    may: ['patient', 'other patient'],
    query: () => `?id=${randomUUID()}`,
    file: () => world.picture,
    body: () => null,
  },
  'patient/set-up/picture': {
    may: ['patient'],
    method: 'GET',
    query: () => `?id=${world.setUpPhotoId}`,
    body: () => null,
  },
  'patient/calendar': { may: ['patient', 'other patient'], body: () => ({}) },
  'patient/calendar/file': { may: ['patient', 'other patient'], body: () => ({}) },
  'patient/worker': { may: EVERYBODY, open: true, method: 'GET', body: () => null },
  'patient/manifest': { may: EVERYBODY, open: true, method: 'GET', body: () => null },
  calendar: {
    may: EVERYBODY,
    open: true,
    method: 'GET',
    query: () => `?token=${world.calendarToken}`,
    body: () => null,
  },
  'patient/pack': { may: ['patient', 'other patient'], method: 'GET', body: () => null },
};

function eventBody() {
  return {
    id: randomUUID(),
    sessionId: randomUUID(),
    sessionKey: 'session-1',
    programmeId: randomUUID(),
    version: 1,
    deviceAt: now(),
    offsetMs: 0,
    body: { type: 'started' },
  };
}
