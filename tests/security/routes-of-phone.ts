import { randomUUID } from 'node:crypto';
import { now } from '@/server/clock';
import { today } from '../support/clinic';
import { EVERYBODY, world } from './world';

import type { RouteRule } from './route-rule';

/** What a patient’s device asks. */
export const PHONE_ROUTES: Readonly<Record<string, RouteRule>> = {
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
  'patient/language': { may: ['patient', 'other patient'], body: () => ({ language: 'en' }) },
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
  'patient/push': {
    may: ['patient', 'other patient'],
    body: () => ({
      endpoint: 'https://push.example.com/send',
      p256dh: 'k'.repeat(87),
      auth: 'a'.repeat(22),
    }),
  },
  'patient/together': {
    may: ['patient', 'other patient'],
    method: 'GET',
    endless: true,
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
