import { resourcesOf } from '../fhir';
import { DAY_KEY } from '../history';
import { snapshotOf } from '../programme';
import { NO_DETAILS, type StoredEventBody } from '../records';
import type { Instant, Zone } from '../schedule';
import { addDays, localDate } from '../units';
import { exercise } from '../../../tests/support/step-cases';
import { worded } from '@/catalogue/wording';
import {
  type RecordEvent,
  type RecordMeasurement,
  type WholeRecord,
  recordCount,
  recordPage,
  recordTables,
} from '.';

/**
 * A record with something of everything, as the page that a person reads, as tables, and as resources.
 * What they say is kept beside the test, and changes only on purpose.
 */
const DAY = localDate('2026-11-02');
const day = (after: number) => addDays(DAY, after);
const at = (value: number) => value as Instant;
const by = (id: string, change: object = {}) => ({
  id,
  createdAt: at(Date.UTC(2026, 10, 2, 9) + id.length * 1000),
  authorId: 'ione',
  episodeId: 'neck',
  visitId: 'visit-1',
  localDate: DAY,
  ...change,
});
const measurement = (id: string, change: Partial<RecordMeasurement> = {}): RecordMeasurement => ({
  ...by(id),
  kind: 'neck-turn',
  side: 'left',
  position: 'sitting',
  instrument: 'inclinometer',
  unit: '°',
  trials: [58.44, 60],
  value: 59.22,
  details: { body: null, note: '', painAtEnd: 4, chinJut: true, retest: null },
  supersedes: null,
  ...change,
});
const details = (body: object) => ({
  body: body as never,
  note: 'as told',
  painAtEnd: null,
  chinJut: false,
  retest: null,
});
const measurements: readonly RecordMeasurement[] = [
  measurement('turn'),
  measurement('turn-right', { side: 'right', value: 41, trials: [41] }),
  measurement('turn-anew', { supersedes: 'turn', value: 61, trials: [61] }),
  measurement('turn-out', { supersedes: 'turn-right', details: null, value: null, trials: [] }),
  measurement('hold', {
    kind: 'deep-flexor-hold',
    side: null,
    unit: 's',
    value: 24.04,
    trials: [24.04],
  }),
  measurement('cuff', {
    kind: 'nod-test',
    side: null,
    unit: '',
    value: 24,
    trials: [],
    details: details({ form: 'cuff', target: 24, holds: 6 }),
  }),
  measurement('index', {
    kind: 'neck-index',
    side: null,
    unit: '%',
    value: 40,
    trials: [],
    details: details({ form: 'sections', scores: [2, 2, 2, 2, 2, 2, 2, 2, null, null] }),
  }),
  measurement('nerves', {
    kind: 'nerve-examination',
    side: null,
    unit: '',
    value: 3,
    trials: [],
    details: details({
      form: 'nerve',
      levels: [{ level: 'C6', side: 'left', strength: 4, feeling: 'reduced', reflex: 'absent' }],
      tension: [],
    }),
  }),
  measurement('unknown', { kind: 'of-a-later-release', side: null, unit: 'kg', value: 12.25 }),
];

let count = 0;
const event = (body: StoredEventBody, change: Partial<RecordEvent> = {}): RecordEvent => ({
  id: `event-${(count += 1)}`,
  sessionId: 'one',
  sessionKey: 'session-1',
  programmeId: 'programme',
  version: 1,
  localDate: day(1),
  body,
  deviceAt: Date.UTC(2026, 10, 3, 9) + count * 60_000,
  skewMs: 500,
  offsetMs: 0,
  episodeId: 'neck',
  writtenBy: null,
  ...change,
});
const rep = (held: number) => ({ set: 1, held, side: null }) as never;
const ofDay = { sessionId: 'day', sessionKey: DAY_KEY };
const two = { sessionId: 'two', sessionKey: 'session-2', version: 2, localDate: day(8) };
const events: readonly RecordEvent[] = [
  event({ type: 'started' }),
  event({ type: 'line', lineage: 'tuck', reps: [rep(4.6), rep(5)], skipped: null } as never),
  event({ type: 'line', lineage: 'nod', reps: [], skipped: 'pain' } as never),
  event({ type: 'ended' }),
  event({ type: 'check-in', pain: 3, effort: 6, word: 'stiff <after>' }),
  event({ type: 'check-in', pain: null, effort: null, word: 'no number' }),
  event({ type: 'daily', date: day(1), worst: 5, where: [], headache: false, note: 'rain' }, ofDay),
  event(
    {
      type: 'daily',
      date: day(2),
      worst: null,
      where: ['front right hand'],
      headache: true,
      note: '',
    },
    ofDay,
  ),
  event({ type: 'daily', date: day(3), worst: 1, where: [], headache: null, note: '' }, ofDay),
  event({ type: 'morning', date: day(2), soreness: 'settled' }, ofDay),
  event({ type: 'weekly', date: day(7), activities: [{ activity: 'row', score: 4 }] }, ofDay),
  event({ type: 'started' }, two),
  event({ type: 'told', lineage: 'tuck', share: 0.666 }, two),
  event(
    {
      type: 'report',
      lineage: 'tuck',
      report: { complaint: 'pain', severity: 7, compared: 'worse', furthest: 'hand' },
      advice: 'stop',
    } as never,
    two,
  ),
  event({ type: 'stopped', because: 'symptom' }, two),
  event({ type: 'started' }, { sessionId: 'three', localDate: day(9) }),
];

const snapshot = (id: string) => snapshotOf(worded(exercise(id)));
const line = (number: number, place: number, lineage: string, id: string, dose: string) => ({
  programmeId: 'programme',
  number,
  place,
  lineage,
  anchor: DAY,
  exerciseId: id,
  exercise: snapshot(id),
  dose,
});
const version = (number: number, change: object = {}) => ({
  programmeId: 'programme',
  number,
  effectiveFrom: day(7 * (number - 1)),
  reviewOn: null,
  rounds: 1,
  authorId: 'ione',
  reason: '',
  createdAt: at(Date.UTC(2026, 10, 2 + number)),
  episodeId: 'neck',
  visitId: 'visit-1',
  ...change,
});

const RECORD: WholeRecord = {
  clinic: { id: 'clinic', name: 'Tide Street & Sons', zone: 'Europe/Lisbon' as Zone },
  members: [
    { id: 'ione', name: 'Ione Kestrel' },
    { id: 'tamsin', name: 'Tamsin Quay' },
  ],
  patient: {
    id: 'wren',
    name: 'Wren Tarbuck',
    birthDate: localDate('1980-04-05'),
    language: 'de',
    zone: 'Europe/Lisbon' as Zone,
    practitionerId: 'ione',
    archivedAt: null,
  },
  details: {
    ...NO_DETAILS,
    phones: [
      { number: '+351 1', what: 'home' },
      { number: '+351 2', what: '' },
    ] as never,
    email: 'wren@quay.example',
    clinicNumber: '0042',
    hours: 'after six',
  },
  episodes: [
    { id: 'neck', complaint: 'Stiff neck', area: 'neck', openedOn: DAY, closedOn: null },
    { id: 'old', complaint: 'Low back', area: 'low back', openedOn: day(-90), closedOn: day(-30) },
  ],
  visits: [
    { id: 'visit-1', episodeId: 'neck', localDate: DAY },
    { id: 'visit-2', episodeId: 'neck', localDate: day(8) },
  ],
  versions: [
    version(1),
    version(2, { rounds: 2, reason: 'Grown', reviewOn: day(30), authorId: 'gone' }),
  ],
  lines: [
    line(1, 0, 'tuck', 'tuck-seated', 'x10 hold 5s gap 3s daily'),
    line(1, 1, 'nod', 'tuck-lighten', 'x10 daily'),
    line(2, 0, 'tuck', 'tuck-seated', 'x12 hold 5s gap 3s daily'),
  ],
  screenings: [
    {
      ...by('asked', { authorId: 'wren', byPatient: true, confirmedBy: null }),
      answers: { answers: { fever: 'yes', 'weight-loss': 'no' }, age: 46, pressure: null },
      outcome: 'unfinished',
    },
    {
      ...by('asked again', { byPatient: false, confirmedBy: 'ione' }),
      answers: {
        answers: { fever: 'no', 'weight-loss': 'no', hoffmann: 'not tested' },
        age: null,
        pressure: { systolic: 141, diastolic: 88.5 },
      },
      outcome: 'precautions',
    },
  ] as unknown as WholeRecord['screenings'],
  measurements,
  entries: [
    {
      ...by('goal'),
      kind: 'goal',
      body: { activity: 'row', by: null, reachedOn: null },
      supersedes: null,
    },
    {
      ...by('goal-2'),
      kind: 'goal',
      body: { activity: 'row', by: null, reachedOn: day(20) },
      supersedes: 'goal',
    },
    { ...by('gone-out'), kind: 'photo-request', body: null, supersedes: 'x' },
  ],
  findings: [
    { ...by('finding'), key: 'k', decision: 'confirmed', say: 'Left turn less' },
    { ...by('finding-2', { authorId: 'nobody' }), key: 'l', decision: 'dismissed', say: 'Short' },
  ],
  teachings: [],
  notes: [
    {
      ...by('note'),
      body: { subjective: 'Stiff.', objective: '', assessment: 'Better.', plan: '' },
    },
  ],
  letters: [
    {
      ...by('letter-of-all'),
      kind: 'review',
      body: {
        paragraphs: ['Dear all.'],
        measures: [{ name: 'Turn', first: '41°', last: '61°', verdict: 'More.' }],
        goals: ['row'],
        programme: ['Tuck'],
        words: '',
        caution: 'Call.',
        author: 'Ione Kestrel',
      } as never,
    },
    {
      ...by('letter'),
      kind: 'discharge',
      body: {
        paragraphs: [],
        measures: [],
        goals: [],
        programme: [],
        words: 'Go well.',
        caution: '',
        author: '',
      } as never,
    },
  ],
  referrals: [{ ...by('referral'), to: 'a neurologist', text: 'Please look.' }],
  referralAnswers: [
    { ...by('answer'), referralId: 'referral', answeredOn: day(12), text: 'Looked.' },
  ],
  pauses: [
    { id: 'pause', fromDate: day(3), toDate: day(4), cause: 'patient', reason: 'ill' },
    { id: 'pause-2', fromDate: day(9), toDate: null, cause: 'symptom', reason: '' },
  ],
  events,
};
const EMPTY: WholeRecord = {
  ...RECORD,
  details: NO_DETAILS,
  patient: { ...RECORD.patient, birthDate: null, archivedAt: at(0) },
  ...Object.fromEntries(
    [
      'episodes visits versions lines screenings measurements entries findings teachings notes',
      'letters referrals referralAnswers pauses events',
    ]
      .join(' ')
      .split(' ')
      .map((name) => [name, []]),
  ),
};

/** A page's words, one piece a line: how it is laid out is looked at. */
const wordsOf = (page: string) =>
  page
    .replace(/<style>[^]*?<\/style>/, '')
    .replace(/<[^>]+>/g, '\n')
    .split('\n')
    .map((text) => text.trim())
    .filter((text) => text !== '');
const say = ({ dose, exercise: { name } }: { dose: string; exercise: { name: string } }) =>
  `${name}, in words: ${dose}`;

it.each([
  ['everything', RECORD],
  ['nothing', EMPTY],
])('a record of %s as a page, as tables and as resources', (_, record) => {
  expect(wordsOf(recordPage(record, { made: '2 Nov 2026', say }))).toMatchSnapshot();
  expect(recordTables(record)).toMatchSnapshot();
  expect(resourcesOf(record, say as never)).toMatchSnapshot();
});

it('entries are counted in words', () => {
  expect([0, 1, 2].map(recordCount)).toEqual(['0 entries', '1 entry', '2 entries']);
});
