import { randomUUID } from 'node:crypto';
import {
  CoverDraft,
  EventsPosted,
  FirstRunDraft,
  HistoryBody,
  KeptFields,
  KeptHistory,
  MailTest,
  MemberDraft,
  PasswordChange,
  PatientDraft,
  ProgrammeDraft,
  ProposalDecisionDraft,
  SignInDraft,
} from '.';

const patient = {
  id: randomUUID(),
  name: 'Linnet',
  complaint: 'Neck',
  zone: 'Europe/Lisbon',
  wakeMinute: 420,
  sleepMinute: 1320,
  minutesADay: null,
};

/** The sentence and the place of the first thing wrong; null when nothing is. */
function wrong(
  schema: { safeParse(value: unknown): { success: boolean; error?: unknown } },
  value: unknown,
) {
  const result = schema.safeParse(value);
  if (result.success) return null;
  const { issues } = result.error as { issues: { message: string; path: PropertyKey[] }[] };
  return [issues[0]?.path.join('.'), issues[0]?.message];
}

describe('a decision on a proposal', () => {
  const decision = {
    id: randomUUID(),
    patientId: randomUUID(),
    key: 'k',
    version: 1,
    dose: null,
    reason: 'seen',
  };
  it.each([
    ['edited', null, false],
    ['edited', '  ', false],
    ['edited', 'x10', true],
    ['accepted', null, true],
    ['declined', null, true],
    ['taken back', null, true],
  ])('%s with the dose %j is taken: %s', (word, dose, taken) => {
    expect(ProposalDecisionDraft.safeParse({ ...decision, decision: word, dose }).success).toBe(
      taken,
    );
  });
});

describe('an e-mail address', () => {
  it('has at most two hundred characters', () => {
    const taken = (length: number) => {
      const host = `@${'y'.repeat(60)}.${'z'.repeat(60)}.example`;
      const email = `${'x'.repeat(length - host.length)}${host}`;
      return wrong(SignInDraft, { email, password: 'p' })?.[1] ?? null;
    };
    expect(taken(201)).toContain('200');
    // Beyond this length only its form is judged.
    expect(taken(200) ?? '').not.toContain('200');
  });
});

describe('a patient', () => {
  it('may have any name people have', () => {
    for (const name of [
      'سلمى بنت البحر',
      'Ünal Çağ',
      'O’Neil-van der Zee',
      '李',
      'x'.repeat(200),
    ]) {
      expect(PatientDraft.parse({ ...patient, name }).name).toBe(name);
    }
  });

  it('is trimmed, in one normal form, and without control characters', () => {
    expect(PatientDraft.parse({ ...patient, name: '  Zoe\u0308\u0000 B\n ' }).name).toBe('Zoë  B');
  });

  it.each([
    [{ name: '' }, 'name', 'The name is missing.'],
    [{ name: '   ' }, 'name', 'The name is missing.'],
    [{ name: undefined }, 'name', 'The name is missing.'],
    [{ name: 'x'.repeat(201) }, 'name', 'The name can be at most 200 characters long.'],
    [{ zone: 'Mars/Olympus' }, 'zone', 'This time zone is not known.'],
    [{ wakeMinute: Number.NaN }, 'wakeMinute', 'Write a time of day, such as 07:00.'],
    [{ wakeMinute: 1440 }, 'wakeMinute', 'A day has 24 hours.'],
    [{ minutesADay: 0 }, 'minutesADay', 'At least one minute.'],
    [{ minutesADay: 2.5 }, 'minutesADay', 'Whole minutes, please.'],
    [{ id: 'mine' }, 'id', 'This is not a record’s id.'],
  ])('is refused with %j', (change, at, say) => {
    expect(wrong(PatientDraft, { ...patient, ...change })).toEqual([at, say]);
  });
});

describe('members', () => {
  const member = {
    id: randomUUID(),
    name: 'A',
    email: ' A@B.Example ',
    role: 'lead',
    password: 'long enough',
  };

  it('have their address in lower case', () => {
    expect(MemberDraft.parse(member).email).toBe('a@b.example');
    expect(SignInDraft.parse({ email: ' A@B.Example ', password: 'x' }).email).toBe('a@b.example');
  });

  it('is covered from a day to the same or a later one, by somebody else', () => {
    const [memberId, coveredBy] = [randomUUID(), randomUUID()];
    const away = { id: randomUUID(), memberId, coveredBy, from: '2026-03-02', to: '2026-03-02' };
    expect(CoverDraft.safeParse(away).success).toBe(true);
    expect(CoverDraft.safeParse({ ...away, to: '2026-03-09' }).success).toBe(true);
    expect(wrong(CoverDraft, { ...away, to: '2026-03-01' })).toEqual([
      'to',
      'The last day away is not before the first.',
    ]);
    expect(wrong(CoverDraft, { ...away, coveredBy: memberId })).toEqual([
      'coveredBy',
      'Somebody else answers than who is away.',
    ]);
  });

  it('cannot be of a role there is not, or have a short password', () => {
    expect(wrong(MemberDraft, { ...member, role: 'owner' })).toEqual(['role', 'Choose a role.']);
    expect(wrong(PasswordChange, { old: 'x', password: 'short' })).toEqual([
      'password',
      'A password has at least 10 characters.',
    ]);
    expect(wrong(FirstRunDraft, { code: 'x', clinic: {}, lead: member })?.[0]).toBe('clinic.name');
  });
});

describe('a programme', () => {
  const draft = {
    patientId: randomUUID(),
    basedOn: 0,
    effectiveFrom: '2026-11-23',
    reviewOn: null,
    rounds: 1,
    reason: '',
    lines: [{ lineage: null, exerciseId: 'tuck-lying', dose: '10x10s' }],
  };

  it.each([
    [{ lines: [] }, 'lines', 'A programme has at least one exercise.'],
    [{ effectiveFrom: '2026-02-30' }, 'effectiveFrom', 'Write a date as 2026-11-30.'],
    [{ rounds: 6 }, 'rounds', 'At most five rounds.'],
    [
      { lines: [{ lineage: null, exerciseId: 'x', dose: 'y'.repeat(301) }] },
      'lines.0.dose',
      'This dose line is too long.',
    ],
  ])('is refused with %j', (change, at, say) => {
    expect(wrong(ProgrammeDraft, { ...draft, ...change })).toEqual([at, say]);
  });

  it('may have 60 lines and no more', () => {
    const lines = (count: number) => ({
      ...draft,
      lines: Array.from({ length: count }, () => draft.lines[0]),
    });
    expect(wrong(ProgrammeDraft, lines(60))).toBeNull();
    expect(wrong(ProgrammeDraft, lines(61))).toEqual([
      'lines',
      'A programme has at most 60 exercises. Take some out.',
    ]);
  });
});

describe('what a device posts', () => {
  const event = {
    id: randomUUID(),
    sessionId: randomUUID(),
    sessionKey: 'session-1',
    programmeId: randomUUID(),
    version: 1,
    deviceAt: 1,
    offsetMs: 0,
    body: { type: 'check-in', pain: 5, word: 'ok' },
  };
  const posted = (change: object) => ({ sentAt: 1, events: [{ ...event, ...change }] });

  it.each([
    [{ body: { type: 'check-in', pain: 11, word: '' } }, 'events.0.body.pain', 'Pain is 0 to 10.'],
    [{ body: { type: 'check-in', pain: -1, word: '' } }, 'events.0.body.pain', 'Pain is 0 to 10.'],
  ])('is refused with %j', (change, at, say) => {
    expect(wrong(EventsPosted, posted(change))).toEqual([at, say]);
  });

  it('is refused with a body of no known kind, negative times, or no events', () => {
    expect(wrong(EventsPosted, posted({ body: { type: 'improved' } }))).not.toBeNull();
    expect(wrong(EventsPosted, posted({ offsetMs: -5 }))).not.toBeNull();
    expect(wrong(EventsPosted, { sentAt: 1, events: [] })).not.toBeNull();
    expect(
      wrong(EventsPosted, { sentAt: 1, events: Array.from({ length: 201 }, () => event) }),
    ).not.toBeNull();
    expect(wrong(EventsPosted, posted({}))).toBeNull();
  });
});

describe('what is kept while it is written', () => {
  it('is a history without what is reckoned at its end', () => {
    expect(Object.keys(HistoryBody.shape)).toContain('irritability');
    expect(Object.keys(KeptHistory.shape.body.shape)).not.toContain('irritability');
  });

  it('is a form of at most 60 fields, each of a bounded length', () => {
    const form = (fields: number, name = 'field', text = 'x') =>
      Object.fromEntries(Array.from({ length: fields }, (_, at) => [`${name} ${at}`, text]));
    expect(wrong(KeptFields, form(60))).toBeNull();
    expect(wrong(KeptFields, form(61))).toEqual(['', 'A form has at most 60 fields.']);
    expect(wrong(KeptFields, { ['n'.repeat(60)]: 'x' })).toBeNull();
    expect(wrong(KeptFields, { ['n'.repeat(61)]: 'x' })).not.toBeNull();
    expect(wrong(KeptFields, { one: 'x'.repeat(24_000) })).toBeNull();
    expect(wrong(KeptFields, { one: 'x'.repeat(24_001) })).not.toBeNull();
  });
});

it('sends a test of the mail only where one is asked for', () => {
  expect(wrong(MailTest, { test: true })).toBeNull();
  expect(wrong(MailTest, { test: false })).not.toBeNull();
});
