import { randomUUID } from 'node:crypto';
import { languageHash } from '@/server/checked-languages';
import { languageOf } from '@/server/languages';
import { limitsFileText } from '@/core/exchange';
import { TRIAGE_LIMITS } from '@/core/triage';
import { NO_DETAILS } from '@/core/records';
import { PASSWORD, today } from '../support/clinic';
import { EVERYBODY, LEAD, NAME, MEMBERS, PRACTITIONERS, world } from './world';

import type { RouteRule } from './route-rule';

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

/** What a clinic has that set nothing of its own. */
const LIMITS = limitsFileText({ limits: TRIAGE_LIMITS, detectable: {}, bands: [] });

/** Signing in, the clinic, its members and its people. */
export const CLINIC_ROUTES: Readonly<Record<string, RouteRule>> = {
  'sign-in': {
    may: EVERYBODY,
    open: true,
    body: () => ({ email: 'lead@harbour.example', password: 'wrong' }),
  },
  'sign-out': { may: [], body: () => ({}) },
  'morning/narrow': { may: MEMBERS, ownClinicOnly: true, body: () => ({ name: 'Quill' }) },
  clock: { may: EVERYBODY, open: true, method: 'GET', body: () => null },
  'visit-calendar': { may: PRACTITIONERS, ownClinicOnly: true, body: () => ({}) },
  'visit-calendar/end': { may: PRACTITIONERS, ownClinicOnly: true, body: () => ({}) },
  'visit-calendar/file': {
    may: EVERYBODY,
    open: true,
    method: 'GET',
    query: () => '?token=nobody',
    body: () => null,
  },
  'patients/language': {
    may: MEMBERS,
    body: () => ({ patientId: world.patientId, language: 'en' }),
  },
  'languages/check': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ id: randomUUID(), language: 'de', hash: languageHash(languageOf('de')) }),
  },
  'languages/uncheck': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ language: 'de' }),
  },
  'languages/file': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ language: 'de' }),
  },
  'clinic/push': { may: LEAD, ownClinicOnly: true, body: () => ({ on: false }) },
  'clinic/limits': {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({ text: LIMITS, over: LIMITS }),
  },
  'clinic/limits/preview': { may: LEAD, ownClinicOnly: true, body: () => ({ text: LIMITS }) },
  'clinic/limits/file': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    method: 'GET',
    body: () => null,
  },
  covers: {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({
      id: randomUUID(),
      memberId: world.practitionerId,
      coveredBy: world.leadId,
      from: today(),
      to: today(5),
    }),
  },
  'covers/end': { may: PRACTITIONERS, ownClinicOnly: true, body: () => ({ id: randomUUID() }) },
  'api-keys': {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({ id: randomUUID(), name: 'reports' }),
  },
  'api-keys/end': { may: LEAD, ownClinicOnly: true, body: () => ({ id: randomUUID() }) },
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
  'programmes/words': {
    may: PRACTITIONERS,
    body: () => ({
      patientId: world.patientId,
      lines: [{ lineage: null, exerciseId: 'tuck-seated', dose: 'x10 daily' }],
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
  'clinic/mail/returned': {
    may: MEMBERS,
    ownClinicOnly: true,
    body: () => null,
    file: () => Buffer.from('Action: delayed\n'),
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
  'episodes/at-hand': {
    may: MEMBERS,
    body: () => ({ patientId: world.patientId, episodeId: world.episodeId }),
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
};
