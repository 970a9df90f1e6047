import { asLine } from '../../../tests/support/worked';
import { addDays, localDate } from '../units';
import { TRIAGE_LIMITS, type TriageFacts, triage } from '.';

const TODAY = localDate('2026-11-25');
const WELL: TriageFacts = {
  today: TODAY,
  alert: null,
  awaitsAnswer: false,
  prescribed: true,
  discharged: false,
  paused: false,
  pains: [2, 1],
  flares: 0,
  spreading: null,
  flagged: [],
  ready: 0,
  easier: 0,
  asking: 0,
  share: 0.9,
  shareBefore: 0.9,
  sessionsDone: 12,
  sessionsDue: 14,
  silentDays: 0,
  plateauWeeks: null,
  reviewOn: null,
  screeningAge: 5,
  screeningDays: 90,
  unopenedDays: null,
};

/** Every fact at the values around its limit, alone and while paused. */
const EDGES: readonly Partial<TriageFacts>[] = [
  {},
  { alert: { kind: 'stop', say: 'Stopped.', hoursOpen: 3 } },
  { awaitsAnswer: true },
  { prescribed: false },
  { discharged: true, ready: 3 },
  { paused: true },
  ...[0, 1, 2, 3, 4].map((days) => ({ spreading: { days, limb: 'left arm' } })),
  ...[[], [5], [6], [5, 5, 5], [6, 6], [6, 6, 6], [7, 8, 9, 10], [5, 6, 6]].map((pains) => ({
    pains,
  })),
  ...[0, 1, 2, 3].map((flares) => ({ flares })),
  ...[0, 1, 2].flatMap((count) => [
    { ready: count },
    { easier: count },
    { ready: count, paused: true },
  ]),
  ...[0, 1, 2, 3, 4, 5, 8].flatMap((silent) => [
    { silentDays: silent },
    { silentDays: silent, paused: true },
  ]),
  { silentDays: null },
  ...[0.5, 0.6, 0.69, 0.7, 0.701, 0.75].flatMap((share) => [
    { share, shareBefore: 0.9 },
    { share, shareBefore: 0.9, paused: true },
  ]),
  { share: null, shareBefore: 0.9 },
  { share: 0.2, shareBefore: null },
  ...[-3, -1, 0, 1].map((days) => ({ reviewOn: addDays(TODAY, days) })),
  ...[3, 5, 6, 7].flatMap((weeks) => [
    { plateauWeeks: weeks, share: 0.8 },
    { plateauWeeks: weeks, share: 0.79 },
    { plateauWeeks: weeks, share: null },
  ]),
  ...[null, 89, 90, 91].map((screeningAge) => ({ screeningAge })),
  ...[0, 1, 2, 3, 4].map((unopenedDays) => ({ unopenedDays })),
  { sessionsDue: 0, sessionsDone: 0, share: null },
  { sessionsDone: 14 },
  {
    alert: { kind: 'stop', say: 'Stopped.', hoursOpen: 3 },
    pains: [9, 9, 9],
    flares: 3,
    ready: 1,
    silentDays: 9,
    screeningAge: 100,
    reviewOn: TODAY,
  },
];

it('each rule on both sides of its limit', () => {
  expect(
    EDGES.map((change) => asLine(change, triage({ ...WELL, ...change }, TRIAGE_LIMITS))),
  ).toMatchSnapshot();
  const strict = {
    ...TRIAGE_LIMITS,
    painOver: 3,
    painTimes: 1,
    flares: 1,
    spreadingDays: 1,
    silentDays: 1,
    fallPercent: 10,
    unopenedDays: 1,
    plateauWeeks: 3,
  };
  expect(
    EDGES.map((change) => asLine(triage({ ...WELL, ...change }, strict).rule ?? 'steady')),
  ).toMatchSnapshot();
});
