import { randomUUID } from 'node:crypto';
import { untaught } from '@/core/teach';
import { TRIAGE_LIMITS } from '@/core/triage';
import { today } from '../support/clinic';
import { smallRecord } from '../support/small-record';
import { EVERYBODY, LEAD, MARKS, MEMBERS, PRACTITIONERS, aMeasure, world } from './world';

import type { RouteRule } from './route-rule';

/** What another system says of a patient. */
const FOREIGN = JSON.stringify({
  resourceType: 'Bundle',
  entry: [
    { resource: { resourceType: 'Patient', id: 'p', name: [{ text: 'Elsewhere' }] } },
    {
      resource: {
        resourceType: 'Observation',
        id: 'o',
        status: 'final',
        code: { text: 'Pain now' },
        subject: { reference: 'Patient/p' },
        effectiveDateTime: '2026-11-01',
        valueInteger: 4,
      },
    },
  ],
});

/** What is written into a patient’s file. */
export const FILE_ROUTES: Readonly<Record<string, RouteRule>> = {
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
  papers: {
    may: MEMBERS,
    body: () => null,
    query: () =>
      `?id=${world.paperId}&patientId=${world.patientId}&kind=referral&receivedOn=${today()}`,
    file: () => Buffer.from('%PDF-1.4 a referral'),
  },
  'papers/file': {
    may: MEMBERS,
    body: () => ({ patientId: world.patientId, id: world.paperId }),
  },
  'papers/read': {
    may: PRACTITIONERS,
    body: () => ({ patientId: world.patientId, id: world.paperId }),
  },
  'papers/delete': {
    may: PRACTITIONERS,
    body: () => ({ patientId: world.patientId, id: world.paperId }),
  },
  'told/back': {
    may: MEMBERS,
    body: () => ({ id: randomUUID(), patientId: world.patientId, date: today(-50) }),
  },
  told: {
    may: MEMBERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      date: today(),
      at: 1_795_000_000_000,
      how: 'call',
      lines: [],
      pain: null,
      worst: 3,
      morning: null,
      wrong: null,
      note: 'x',
    }),
  },
  'whole-records': { may: PRACTITIONERS, body: () => ({ patientId: world.patientId }) },
  'whole-records/in': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => null,
    query: () => '?take=in',
    file: () => smallRecord(),
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
  'foreign-records': {
    may: PRACTITIONERS,
    body: () => ({
      text: FOREIGN,
      from: 'Hill Clinic',
      into: { kind: 'here', id: world.patientId, isSame: true },
    }),
  },
  'foreign-records/preview': {
    may: PRACTITIONERS,
    body: () => ({ text: FOREIGN, patientId: world.patientId }),
  },
  shares: {
    may: PRACTITIONERS,
    body: () => ({
      id: randomUUID(),
      patientId: world.patientId,
      turn: 1,
      does: 'show',
      shown: {
        lineage: world.lineage,
        count: { index: 0, elapsed: 0, running: false, at: 1_790_000_000_000 },
      },
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
};
