import { NO_DETAILS } from '../records';
import type { Instant, Zone } from '../schedule';
import type { SessionEventBody, StoredEventBody } from '../adherence';
import { DAY_KEY } from '../history';
import { resourcesOf } from '../fhir';
import { localDate } from '../units';
import { fieldsInWords } from './fields';
import {
  type RecordEvent,
  type RecordMeasurement,
  type WholeRecord,
  endingOf,
  escapeHtml,
  measureValue,
  recordPage,
  recordTables,
  standingOf,
} from '.';

const DAY = localDate('2026-11-20');
const at = (value: number) => value as Instant;
const say = () => 'in words';

const measurement = (change: Partial<RecordMeasurement> = {}): RecordMeasurement => ({
  id: 'm',
  createdAt: at(0),
  authorId: 'a',
  episodeId: 'e',
  visitId: 'v',
  kind: 'neck-turn',
  side: 'left',
  position: 'sitting',
  instrument: 'inclinometer',
  unit: '°',
  trials: [58.44, 60],
  value: 59.22,
  details: { body: null, note: '', painAtEnd: null, chinJut: false, retest: null },
  localDate: DAY,
  supersedes: null,
  ...change,
});

const event = (body: StoredEventBody, change: Partial<RecordEvent> = {}): RecordEvent => ({
  id: 'x',
  sessionId: 's',
  sessionKey: 'session-1',
  programmeId: 'p',
  version: 1,
  localDate: DAY,
  body,
  deviceAt: 1_000,
  skewMs: 500,
  offsetMs: 0,
  episodeId: 'e',
  writtenBy: null,
  ...change,
});

const record = (change: Partial<WholeRecord> = {}): WholeRecord => ({
  clinic: { id: 'c', name: 'Tide Street', zone: 'Europe/Lisbon' as Zone },
  members: [{ id: 'a', name: 'Ione Kestrel' }],
  patient: {
    id: 'pat',
    name: 'Wren Tarbuck',
    birthDate: null,
    language: 'en',
    zone: 'Europe/Lisbon' as Zone,
    practitionerId: 'a',
    archivedAt: null,
  },
  details: NO_DETAILS,
  episodes: [{ id: 'e', complaint: 'Stiff neck', area: 'neck', openedOn: DAY, closedOn: null }],
  visits: [{ id: 'v', episodeId: 'e', localDate: DAY }],
  versions: [],
  lines: [],
  screenings: [],
  measurements: [],
  entries: [],
  findings: [],
  teachings: [],
  notes: [],
  letters: [],
  referrals: [],
  referralAnswers: [],
  pauses: [],
  events: [],
  ...change,
});

const observations = (change: Partial<WholeRecord>) =>
  resourcesOf(record(change), say).filter(({ resourceType }) => resourceType === 'Observation');

describe('a measurement in words', () => {
  it.each([
    [measurement(), '59.2°'],
    [measurement({ unit: 's', value: 12 }), '12 s'],
    [measurement({ kind: 'nerve', unit: '', value: 0 }), '0'],
    [measurement({ details: null }), 'taken out'],
  ])('has its unit, and says when it was taken out', (row, words) => {
    expect(measureValue(row)).toBe(words);
  });

  it('says whether it counts', () => {
    const gone = new Set(['old']);
    expect([
      standingOf(measurement(), gone),
      standingOf(measurement({ id: 'old' }), gone),
      standingOf(measurement({ details: null }), gone),
    ]).toEqual(['counts', 'corrected later', 'takes another out']);
  });
});

describe('observations', () => {
  it('say of a correction which one is in error, and nothing of what was taken out', () => {
    const old = measurement({ id: 'old' });
    const better = measurement({ id: 'new', supersedes: 'old', value: 61 });
    const out = measurement({ id: 'out', supersedes: 'new', details: null, value: null });
    expect(observations({ measurements: [old, better] })).toMatchObject([
      { id: 'old', status: 'entered-in-error' },
      {
        id: 'new',
        status: 'corrected',
        valueQuantity: { value: 61, code: 'deg', system: 'http://unitsofmeasure.org' },
        bodySite: { text: 'left side' },
      },
    ]);
    expect(observations({ measurements: [old, better, out] })).toHaveLength(2);
  });

  it('hold what was told, at the clinic’s clock; what was not told is no observation', () => {
    const told = observations({
      events: [
        event({ type: 'check-in', pain: 3, effort: null, word: '' }),
        event({ type: 'check-in', pain: null, effort: null, word: 'no number' }, { id: 'y' }),
      ],
    });
    expect(told).toMatchObject([
      { code: { text: 'pain after a session, 0–10' }, valueQuantity: { value: 3 } },
    ]);
    expect(told[0]).toMatchObject({ issued: '1970-01-01T00:00:01.500Z' });
  });
});

it('tells a session that ended from one that was stopped, and from one of which nobody heard', () => {
  const started = event({ type: 'started' });
  expect([
    endingOf([started, event({ type: 'ended' })]),
    endingOf([started, event({ type: 'stopped', because: 'symptom' })]),
    endingOf([started]),
  ]).toEqual(['ended', 'stopped: symptom', 'not ended']);
});

it('says of a line that was told without a device its share, with nothing counted', () => {
  const told = { type: 'told', lineage: 'tuck', share: 1 } as const;
  const tables = recordTables(record({ events: [event(told)] }));
  expect(tables.find(({ name }) => name === 'sessions')?.rows).toEqual([
    [DAY, 'session-1', 1, '', null, null, null, 'as told: 100 %', 'not ended'],
  ]);
  const [session] = resourcesOf(record({ events: [event(told)] }), say).filter(
    ({ resourceType }) => resourceType === 'Procedure',
  );
  expect(JSON.stringify(session)).toContain('100 % of it, as told without a device');
});

it('counts what is told of a day as no session', () => {
  const daily: SessionEventBody = {
    type: 'daily',
    date: DAY,
    worst: 4,
    where: [],
    headache: false,
    note: '',
  };
  const tables = recordTables(record({ events: [event(daily, { sessionKey: DAY_KEY })] }));
  const rows = (name: string) => tables.find((table) => table.name === name)?.rows;
  expect(rows('sessions')).toEqual([]);
  expect(rows('told')).toEqual([
    [DAY, 'worst pain of the day', 4, ''],
    [DAY, 'headache', null, 'no'],
  ]);
});

it.each<[unknown, string[]]>([
  [{ way: 'call', reached: true, agreed: '' }, ['way: call', 'reached: yes']],
  [{ minute: 490, note: null }, ['minute: 08:10']],
  [
    { busy: [{ from: 450, to: 720, label: 'loom' }] },
    ['busy: from: 07:30, to: 12:00, label: loom'],
  ],
  [{ at: { 'session-1': 480 } }, ['at: session-1 08:00']],
  [{ settlesWithin: 'a day', worst: 6.25 }, ['settles within: a day', 'worst: 6.25']],
  [null, []],
])('%j in words', (body, said) => expect(fieldsInWords(body)).toEqual(said));

it('takes nobody’s words for markup', () => {
  expect(escapeHtml('<b title="x">&</b>')).toBe('&lt;b title=&quot;x&quot;&gt;&amp;&lt;/b&gt;');
  const page = recordPage(
    record({
      patient: { ...record().patient, name: '<img src=x onerror=alert(1)>' },
      episodes: [
        { id: 'e', complaint: '</table><script>', area: null, openedOn: DAY, closedOn: DAY },
      ],
    }),
    { made: '2026-11-20', say },
  );
  expect(page).not.toMatch(/<img|<script|<\/table><scr/);
  expect(page).toContain('Nobody was screened.');
});
