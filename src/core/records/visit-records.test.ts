import { randomUUID } from 'node:crypto';
import {
  DetectableDraft,
  FileEntryDraft,
  FindingDraft,
  MarkingDraft,
  MeasurementsDraft,
  PatientScreeningDraft,
  PhotoFacts,
  ReferralAnswerDraft,
  ScreeningDecisionDraft,
  ScreeningDraft,
} from '.';

type Schema = { safeParse(value: unknown): { success: boolean; error?: unknown } };

/** Path and sentence of the first thing wrong; null when nothing is. */
function wrong(schema: Schema, value: unknown): [string, string] | null {
  const result = schema.safeParse(value);
  if (result.success) return null;
  const { issues } = result.error as { issues: { message: string; path: PropertyKey[] }[] };
  return [issues[0]?.path.join('.') ?? '', issues[0]?.message ?? ''];
}

const ids = { id: randomUUID(), patientId: randomUUID() };

describe('a screening', () => {
  const draft = { ...ids, answers: {}, age: 40, pressure: null, fromId: null };
  it.each<[object, string, string]>([
    [
      { answers: { 'no-such': 'yes' } },
      'answers',
      'One of the questions is not known. Load the page again.',
    ],
    [{ answers: { fever: 'not tested' } }, 'answers', 'Only a sign can be left untested.'],
    [{ age: 121 }, 'age', 'The age is between 0 and 120.'],
    [{ age: 40.5 }, 'age', 'The age is in whole years.'],
    [{ age: Number.NaN }, 'age', 'The age is a number of years.'],
    [
      { pressure: { systolic: 80, diastolic: 120 } },
      'pressure.systolic',
      'The upper pressure is higher than the lower one.',
    ],
    [
      { pressure: { systolic: 400, diastolic: 80 } },
      'pressure.systolic',
      'The upper pressure is between 50 and 300 mmHg.',
    ],
    [
      { pressure: { systolic: 120, diastolic: null } },
      'pressure.diastolic',
      'The lower pressure is a number of mmHg.',
    ],
  ])('is refused with %j', (change, at, say) => {
    expect(wrong(ScreeningDraft, { ...draft, ...change })).toEqual([at, say]);
  });
  it('may leave a sign untested, and the age open', () => {
    const open = { ...draft, age: null, answers: { hoffmann: 'not tested', fever: 'no' } };
    expect(wrong(ScreeningDraft, open)).toBeNull();
    expect(
      wrong(PatientScreeningDraft, { id: ids.id, answers: { fever: 'yes' }, age: null }),
    ).toBeNull();
  });
  it('needs what was done and why before it is decided', () => {
    const decision = {
      ...ids,
      screeningId: randomUUID(),
      action: 'other',
      what: 'x',
      why: 'y',
      mayPrescribe: true,
    };
    expect(wrong(ScreeningDecisionDraft, decision)).toBeNull();
    expect(wrong(ScreeningDecisionDraft, { ...decision, why: ' ' })).toEqual([
      'why',
      'Why is missing.',
    ]);
    expect(wrong(ScreeningDecisionDraft, { ...decision, action: '' })).toEqual([
      'action',
      'Choose what was done.',
    ]);
  });
  it('has an answer with a date and words', () => {
    const answer = { ...ids, referralId: randomUUID(), answeredOn: '2026-11-23', text: 'x' };
    expect(wrong(ReferralAnswerDraft, answer)).toBeNull();
    expect(wrong(ReferralAnswerDraft, { ...answer, text: '  ' })).toEqual([
      'text',
      'Write what was answered.',
    ]);
    expect(wrong(ReferralAnswerDraft, { ...answer, answeredOn: '23.11.' })?.[0]).toBe('answeredOn');
  });
});

describe('an entry of the file', () => {
  const entry = (kind: string, body: object) => ({
    ...ids,
    supersedes: null,
    on: '2026-11-23',
    kind,
    body,
  });
  const texts = {
    onset: '',
    aggravates: '',
    eases: '',
    morning: '',
    day: '',
    night: '',
    medicines: '',
    earlierCare: '',
  };
  const consent = { exercise: true, photos: false, sharing: false, minor: false, guardian: '' };
  it.each<[string, object, string, string]>([
    [
      'history',
      { ...texts, irritability: { provokedBy: '', worst: 5, settlesWithin: 'hours' } },
      'body.irritability.provokedBy',
      'Choose what provokes it.',
    ],
    [
      'history',
      {
        ...texts,
        irritability: { provokedBy: 'ordinary movement', worst: 11, settlesWithin: 'hours' },
      },
      'body.irritability.worst',
      'Pain is 0 to 10.',
    ],
    [
      'history',
      { ...texts, irritability: null, onset: 'x'.repeat(1001) },
      'body.onset',
      'The onset can be at most 1000 characters long.',
    ],
    [
      'consent',
      { ...consent, minor: true },
      'body.guardian',
      'For a minor a guardian consents: write the name.',
    ],
    [
      'goal',
      { activity: '', by: null, reachedOn: null },
      'body.activity',
      'The activity is missing.',
    ],
    [
      'goal',
      { activity: 'row', by: '2026-02-30', reachedOn: null },
      'body.by',
      'Write a date as 2026-11-30.',
    ],
    ['care', { kind: 'rumour', what: 'x' }, 'body.kind', 'Choose what it was.'],
  ])('%s is refused with %j', (kind, body, at, say) => {
    expect(wrong(FileEntryDraft, entry(kind, body))).toEqual([at, say]);
  });
  it.each<[string, object]>([
    ['history', { ...texts, irritability: null }],
    ['consent', { ...consent, minor: true, guardian: 'A. Parent' }],
    ['goal', { activity: 'row', by: '2027-01-01', reachedOn: null }],
    ['care', { kind: 'injection', what: 'shoulder' }],
  ])('%s is taken', (kind, body) => {
    expect(wrong(FileEntryDraft, entry(kind, body))).toBeNull();
  });
});

describe('measurements', () => {
  it('come one to eighty at a time', () => {
    expect(wrong(MeasurementsDraft, { patientId: ids.patientId, measurements: [] })?.[1]).toBe(
      'Nothing is filled in yet.',
    );
  });
  it('of a retest are within the kind’s range too', () => {
    const measurement = {
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
      retest: { cue: 'ear back', trials: [600] },
      supersedes: null,
    };
    expect(
      wrong(MeasurementsDraft, { patientId: ids.patientId, measurements: [measurement] }),
    ).toEqual(['measurements.0.retest.0', 'Neck turn is between 0 and 180°; 600 is not possible.']);
  });
  it('the clinic’s own detectable change is more than nothing and has a source', () => {
    const own = (value: object) => wrong(DetectableDraft, { kind: 'neck-turn', own: value })?.[1];
    expect(own({ margin: { by: 0 }, source: 'x' })).toContain('more than 0');
    expect(own({ margin: { by: 5 }, source: '' })).toBe('The source is missing.');
    expect(wrong(DetectableDraft, { kind: 'neck-turn', own: null })).toBeNull();
    expect(wrong(DetectableDraft, { kind: 'no-such', own: null })).not.toBeNull();
  });
});

describe('photos', () => {
  const point = { x: 1, y: 2 };
  const marks = {
    facing: 'left',
    tragus: point,
    c7: point,
    shoulder: null,
    eye: null,
    reference: null,
    scale: null,
  };
  it('are told by ids and a date alone, for they stand in the address', () => {
    expect(wrong(PhotoFacts, { ...ids, takenOn: '2026-11-23' })).toBeNull();
    expect(wrong(PhotoFacts, { ...ids, takenOn: 'today' })?.[0]).toBe('takenOn');
  });
  it('have marks within the picture, and a known length between 10 mm and 3 m', () => {
    const draft = (change: object) =>
      wrong(MarkingDraft, { ...ids, photoId: randomUUID(), marks: { ...marks, ...change } });
    expect(draft({})).toBeNull();
    expect(draft({ tragus: { x: Number.NaN, y: 1 } })?.[0]).toBe('marks.tragus.x');
    expect(draft({ scale: { a: point, b: point, millimetres: 5 } })?.[1]).toBe(
      'The known length is 10 to 3000 mm.',
    );
    expect(draft({ facing: 'up' })?.[0]).toBe('marks.facing');
  });
});

it('a finding has words', () => {
  const finding = {
    ...ids,
    key: 'added: 1',
    decision: 'added',
    proposed: null,
    say: '',
    towards: '',
    source: '',
    cue: null,
    reason: '',
  };
  expect(wrong(FindingDraft, finding)).toEqual(['say', 'The finding is missing.']);
  expect(wrong(FindingDraft, { ...finding, say: 'stiff' })).toBeNull();
});
