import { randomUUID } from 'node:crypto';
import { SAID_PARTS, untaught } from '../teach';
import {
  EventsPosted,
  HandoutOrder,
  OwnPause,
  PatientSettings,
  RemindersBody,
  TeachBackDraft,
  VisitNoteDraft,
} from '.';

const id = () => randomUUID();
const say = (result: { success: boolean; error?: { issues: { message: string }[] } }) =>
  result.success ? '' : (result.error?.issues[0]?.message ?? 'no sentence');

describe('a teaching as it is sent', () => {
  const draft = (change: object = {}) => ({
    id: id(),
    patientId: id(),
    programmeId: id(),
    version: 1,
    lines: [{ ...untaught(id()), said: [...SAID_PARTS] }],
    closing: { doseSaidAgain: true, dayToComeBack: false },
    ...change,
  });

  it('is taken with everything open, and with everything done', () => {
    expect(TeachBackDraft.safeParse(draft()).success).toBe(true);
    const full = {
      ...untaught(id()),
      felt: ['front left neck'],
      comfortable: 'no',
      faults: [{ fault: 'Chin pokes', fix: '' }],
      cue: 'Towel',
      questions: 'May I swim?',
    };
    expect(TeachBackDraft.safeParse(draft({ lines: [full] })).success).toBe(true);
  });

  it('refuses with a sentence: no exercise, a place that is not on the body, a very long cue', () => {
    expect(say(TeachBackDraft.safeParse(draft({ lines: [] })))).toBe(
      'There is no exercise to sign for.',
    );
    const wrong = (change: object) => draft({ lines: [{ ...untaught(id()), ...change }] });
    expect(say(TeachBackDraft.safeParse(wrong({ felt: ['left nose'] })))).toBe(
      'There is no such place on the drawn body.',
    );
    expect(say(TeachBackDraft.safeParse(wrong({ cue: 'x'.repeat(201) })))).toBe(
      'The reminder can be at most 200 characters long.',
    );
    expect(say(TeachBackDraft.safeParse(wrong({ comfortable: 'maybe' })))).toBe(
      'Yes, no, or not asked.',
    );
  });
});

describe('a visit’s note', () => {
  const note = (change: object = {}) => ({
    id: id(),
    patientId: id(),
    subjective: '',
    objective: '',
    assessment: '',
    plan: '',
    ...change,
  });

  it('keeps its lines, and loses only what cannot be seen', () => {
    const taken = VisitNoteDraft.parse(note({ plan: ' One\r\ntwo \u0007\n\n- three  \n' }));
    expect(taken.plan).toBe('One\ntwo\n\n- three');
  });

  it('is refused when it is empty or endless', () => {
    expect(say(VisitNoteDraft.safeParse(note()))).toBe('The note is empty.');
    expect(say(VisitNoteDraft.safeParse(note({ plan: 'x'.repeat(8001) })))).toMatch(/8,000/);
  });
});

describe('what a patient sets', () => {
  const reminders = {
    sessions: false,
    posture: false,
    channel: 'text',
    address: '',
    quiet: { from: 1260, to: 480 },
  };

  it('wants a number or address only where something is to be sent', () => {
    expect(RemindersBody.safeParse(reminders).success).toBe(true);
    expect(say(RemindersBody.safeParse({ ...reminders, sessions: true }))).toBe(
      'Write the number or address to remind you at.',
    );
    expect(
      RemindersBody.safeParse({ ...reminders, sessions: true, address: '+000 1' }).success,
    ).toBe(true);
  });

  it('is refused with a sentence for impossible minutes and times', () => {
    const settings = (change: object) => ({
      id: id(),
      minutesADay: 10,
      wakeMinute: 420,
      sleepMinute: 1320,
      language: 'en',
      props: [],
      reminders,
      ...change,
    });
    expect(PatientSettings.safeParse(settings({})).success).toBe(true);
    expect(PatientSettings.safeParse(settings({ minutesADay: null })).success).toBe(true);
    expect(say(PatientSettings.safeParse(settings({ minutesADay: 0 })))).toBe(
      'At least one minute.',
    );
    expect(say(PatientSettings.safeParse(settings({ minutesADay: 500 })))).toMatch(/at most 240/i);
    expect(PatientSettings.safeParse(settings({ wakeMinute: 1500 })).success).toBe(false);
  });

  it('a pause ends after it begins and has a reason', () => {
    const pause = { id: id(), from: '2026-11-25', to: '2026-11-27', reason: 'ill' };
    expect(OwnPause.safeParse(pause).success).toBe(true);
    expect(say(OwnPause.safeParse({ ...pause, to: '2026-11-24' }))).toBe(
      'It would end before it begins.',
    );
    expect(say(OwnPause.safeParse({ ...pause, reason: 'lazy' }))).toBe(
      'Ill, travelling or another reason.',
    );
    expect(OwnPause.safeParse({ ...pause, from: '2026-02-30' }).success).toBe(false);
  });
});

describe('what a phone tells of a day', () => {
  const posted = (body: object) => ({
    sentAt: 1,
    events: [
      {
        id: id(),
        sessionId: id(),
        sessionKey: 'day',
        programmeId: id(),
        version: 1,
        deviceAt: 1,
        offsetMs: 0,
        body,
      },
    ],
  });
  const daily = {
    type: 'daily',
    date: '2026-11-25',
    worst: 4,
    where: [],
    headache: null,
    note: '',
  };

  it.each([
    daily,
    { ...daily, where: ['front left forearm'], headache: true },
    { type: 'morning', date: '2026-11-25', soreness: 'settled' },
    { type: 'weekly', date: '2026-11-25', activities: [{ activity: 'Ring', score: 0 }] },
    {
      type: 'report',
      lineage: null,
      report: { complaint: 'dizzy', severity: 3, compared: 'new', furthest: null },
      advice: 'stop and call',
    },
    { type: 'check-in', pain: 3, effort: 5, word: '' },
    // Sent by a phone that has not been opened since effort was asked for.
    { type: 'check-in', pain: 3, word: '' },
  ])('takes $type', (body) => {
    expect(EventsPosted.safeParse(posted(body)).success).toBe(true);
  });

  it.each([
    { ...daily, worst: 11 },
    { ...daily, where: ['front left tail'] },
    { ...daily, date: 'yesterday' },
    { type: 'morning', date: '2026-11-25', soreness: 'fine' },
    { type: 'weekly', date: '2026-11-25', activities: [{ activity: 'Ring', score: 12 }] },
    { type: 'report', lineage: null, report: { complaint: 'bored' }, advice: 'none' },
  ])('refuses what cannot be: %j', (body) => {
    expect(EventsPosted.safeParse(posted(body)).success).toBe(false);
  });
});

describe('an order for a handout', () => {
  const order = { patientId: id(), format: 'pdf', paper: 'a4', large: false, link: null };
  it('is a PDF or a file, on A4 or US letter', () => {
    expect(HandoutOrder.safeParse(order).success).toBe(true);
    expect(say(HandoutOrder.safeParse({ ...order, paper: 'a3' }))).toMatch(/A4 or US letter/);
    expect(say(HandoutOrder.safeParse({ ...order, format: 'doc' }))).toMatch(/PDF or an HTML/);
    expect(HandoutOrder.safeParse({ ...order, link: 'javascript:alert(1)' }).success).toBeDefined();
  });
});
