import fc from 'fast-check';
import { addDays, localDate } from '../units';
import { LEVELS, TRIAGE_LIMITS, TRIAGE_RULES, type TriageFacts, triage } from '.';

const today = localDate('2026-11-26');
const steady: TriageFacts = {
  today,
  alert: null,
  awaitsAnswer: false,
  prescribed: true,
  discharged: false,
  paused: false,
  pains: [3, 2, 3],
  flares: 0,
  spreading: null,
  flagged: [],
  ready: 0,
  easier: 0,
  asking: 0,
  share: 0.9,
  shareBefore: 0.92,
  sessionsDone: 13,
  sessionsDue: 14,
  silentDays: 0,
  plateauWeeks: null,
  reviewOn: addDays(today, 10),
  screeningAge: 20,
  screeningDays: 90,
  unopenedDays: null,
};
const found = (change: Partial<TriageFacts>) => triage({ ...steady, ...change }, TRIAGE_LIMITS);

// Limits are common practice, no source; the clinic may set its own.
it.each<[string, Partial<TriageFacts>, string, RegExp]>([
  [
    'stopped for a symptom',
    { alert: { kind: 'stopped', say: 'Stopped.', hoursOpen: 2 } },
    'call today',
    /Stopped/,
  ],
  [
    'spreading two days',
    { spreading: { days: 2, limb: 'right arm' } },
    'call today',
    /right arm .* 2 days/,
  ],
  [
    'pain over the limit twice',
    { pains: [8, 3, 9] },
    'call today',
    /over 7 of 10 on 2 days.*up to 9/,
  ],
  ['next-morning flare three times', { flares: 3 }, 'call today', /3 times/],
  [
    'a running line that is flagged since',
    { flagged: [{ name: 'Bench edge', precaution: 'Osteoporosis' }], easier: 2 },
    'decide',
    /Bench edge \(Osteoporosis\)\./,
  ],
  [
    'several, each counted once',
    {
      flagged: [
        { name: 'A', precaution: 'x' },
        { name: 'A', precaution: 'y' },
        { name: 'B', precaution: 'x' },
        { name: 'C', precaution: 'x' },
      ],
    },
    'decide',
    /A \(x\), and 2 more/,
  ],
  ['a line that asks for less', { easier: 1 }, 'decide', /1 line asks/],
  ['ready to progress', { ready: 2 }, 'decide', /2 lines/],
  ['a word that is missing', { asking: 1 }, 'decide', /1 line lacks a number or a word/],
  ['adherence falling', { share: 0.4, shareBefore: 0.9 }, 'decide', /90 % to 40 %/],
  ['silent three days', { silentDays: 3 }, 'decide', /3 days/],
  ['plateau at good adherence', { plateauWeeks: 6 }, 'decide', /6 weeks at 90 %/],
  ['review due', { reviewOn: today }, 'decide', /due today/],
  ['review overdue', { reviewOn: addDays(today, -4) }, 'decide', /4 days ago/],
  ['screening old', { screeningAge: 91 }, 'decide', /91 days/],
  ['link never opened', { unopenedDays: 3 }, 'decide', /3 days/],
  ['no programme', { prescribed: false }, 'decide', /No programme/],
])('%s', (_name, change, level, reason) => {
  expect(found(change)).toMatchObject({ level });
  expect(found(change).reason).toMatch(reason);
});

it.each<[string, Partial<TriageFacts>]>([
  ['spreading one day', { spreading: { days: 1, limb: 'right arm' } }],
  ['pain over the limit once', { pains: [8, 3, 7] }],
  ['two flares', { flares: 2 }],
  ['silent two days', { silentDays: 2 }],
  ['a plateau without doing it', { plateauWeeks: 8, share: 0.5, shareBefore: 0.5 }],
  ['a screening of exactly the clinic’s age', { screeningAge: 90 }],
  ['a review tomorrow', { reviewOn: addDays(today, 1) }],
])('%s is steady', (_name, change) => {
  expect(found(change).level).toBe('steady');
});

it('says what was done where nothing else is to be said', () => {
  expect(found({}).reason).toBe('13 of 14 sessions in a fortnight, 90 % of the dose.');
  expect(found({ sessionsDue: 0 }).reason).toContain('Nothing was due');
});

it('takes the gravest as the reason, and keeps the others beside it', () => {
  const both = found({ flares: 3, ready: 1, screeningAge: 200 });
  expect(both).toMatchObject({ level: 'call today', rule: 'flares' });
  expect(both.also).toHaveLength(2);
});

it('leaves a paused patient in peace about doing, not about alarms', () => {
  expect(found({ paused: true, silentDays: 9, share: 0, shareBefore: 0.9, ready: 1 }).level).toBe(
    'steady',
  );
  expect(found({ paused: true, flares: 3 }).level).toBe('call today');
});

it('a discharged patient is steady whatever the record holds', () => {
  expect(found({ discharged: true, flares: 9, silentDays: 40 }).level).toBe('steady');
});

it('follows the clinic’s own limits', () => {
  const limits = { ...TRIAGE_LIMITS, silentDays: 7, painOver: 5 };
  expect(triage({ ...steady, silentDays: 6 }, limits).level).toBe('steady');
  expect(triage({ ...steady, pains: [6, 6] }, limits).level).toBe('call today');
});

it('never lowers a level because something more holds', () => {
  const change = fc.record({
    flares: fc.constantFrom(0, 3),
    ready: fc.constantFrom(0, 1),
    silentDays: fc.constantFrom(0, 5),
    easier: fc.constantFrom(0, 2),
    screeningAge: fc.constantFrom(10, 200),
  });
  fc.assert(
    fc.property(change, change, (a, b) => {
      const more = {
        flares: Math.max(a.flares, b.flares),
        ready: Math.max(a.ready, b.ready),
        silentDays: Math.max(a.silentDays, b.silentDays),
        easier: Math.max(a.easier, b.easier),
        screeningAge: Math.max(a.screeningAge, b.screeningAge),
      };
      expect(LEVELS.indexOf(found(more).level)).toBeLessThanOrEqual(LEVELS.indexOf(found(a).level));
      expect(found(more).urgency).toBeLessThanOrEqual(found(a).urgency);
    }),
  );
});

it('every rule has a source and a next action', () => {
  for (const { source, next } of TRIAGE_RULES) {
    expect(source).not.toBe('');
    expect(next).not.toBe('');
  }
});
