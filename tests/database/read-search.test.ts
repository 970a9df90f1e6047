import { randomUUID } from 'node:crypto';
import type { Readable } from '@/core/fhir';
import type { LocalDate } from '@/core/units';
import { versionsOf } from '@/db';
import { now, setClock } from '@/server/clock';
import { readAsked } from '@/server/read-api/asked';
import { search } from '@/server/read-api/search';
import { addPatient } from '@/server/people';
import { takeIn } from '@/server/take-in';
import { saveMeasurements } from '@/server/visit/measuring';
import {
  device,
  makeClinic,
  makePatient,
  member,
  newPatient,
  ownDomain,
  prescribe,
  today,
} from '../support/clinic';
import { eventOf } from '../support/record';
import { databaseStage, measure } from '../support/stage';

/** What another system of the clinic finds of a patient. */
const stage = databaseStage('read-search');
const DAY_MS = 86_400_000;

/** From the morning of the first day on, so that no test ends on another than it began on. */
const start = Date.parse('2026-03-02T09:00:00Z');
const onDay = (day: number) => setClock(() => start + (day - 1) * DAY_MS);
beforeAll(() => onDay(1));

/** A member whose session holds on the day at hand. */
const practitioner = () => member(stage.emails.practitioner);

const find = (type: Readable, given: readonly (readonly [string, string])[]) =>
  search(
    stage.practitioner.clinicId,
    type,
    readAsked(type, new URLSearchParams(given.map(([name, value]) => [name, value])), true),
  );

async function idsOf(...asked: Parameters<typeof find>): Promise<(string | undefined)[]> {
  return (await find(...asked)).resources.map(({ id }) => id);
}

/** Every page, of so many each, one after the other. */
async function pages(type: Readable, given: [string, string][], count: number) {
  const found: (string | undefined)[][] = [];
  for (let after: string | null = ''; after !== null;) {
    const more: [string, string][] = after === '' ? [] : [['_after', after]];
    const { resources, end } = await find(type, [...given, ['_count', String(count)], ...more]);
    found.push(resources.map(({ id }) => id));
    after = end;
  }
  return found;
}

describe('the care plans of a patient', () => {
  const patient: { id: string; plan: (number: number) => string } = { id: '', plan: String };
  const days = (...asked: string[]) =>
    idsOf('CarePlan', [
      ['patient', patient.id],
      ...asked.map((date): [string, string] => ['date', date]),
    ]);

  beforeAll(async () => {
    const by = await practitioner();
    patient.id = await makePatient(by, 'Wenna Tidewell');
    const lines = [{ exerciseId: 'tuck-lying', dose: '10x10s gap 5s' }];
    await prescribe(by, patient.id, lines);
    await prescribe(by, patient.id, [{ exerciseId: 'tuck-lying', dose: '10x15s gap 5s' }], {
      basedOn: 1,
      effectiveFrom: today(7),
      reason: 'held longer',
    });
    await prescribe(by, patient.id, lines, {
      basedOn: 2,
      effectiveFrom: today(14),
      reason: 'back',
    });
    const versions = (await versionsOf(by.clinicId, [patient.id])).get(patient.id) ?? [];
    const programmeId = versions[0]?.version.programmeId;
    patient.plan = (number) => `${programmeId}-v${number}`;
  });

  it('are all of them where no days are asked for, from the first on', async () => {
    expect(await days()).toEqual([1, 2, 3].map(patient.plan));
  });

  // The first lasts from the 2nd to the 8th of March, the second to the 15th, the third is open.
  it.each([
    [['2026-03-01'], []],
    [['2026-03-02'], [1]],
    [['2026-03-08'], [1]],
    [['2026-03-09'], [2]],
    [['2026-03-15'], [2]],
    [['2026-03-16'], [3]],
    [['2036-01-01'], [3]],
    [['le2026-03-01'], []],
    [['le2026-03-08'], [1]],
    [['le2026-03-09'], [1, 2]],
    [['ge2026-03-08'], [1, 2, 3]],
    [['ge2026-03-09'], [2, 3]],
    [['ge2026-03-16'], [3]],
    [
      ['ge2026-03-08', 'le2026-03-09'],
      [1, 2],
    ],
    [['gt2026-03-08', 'lt2026-03-16'], [2]],
  ])('of %j are those that lasted on one of these days', async (asked, numbers) => {
    expect(await days(...asked)).toEqual(numbers.map(patient.plan));
  });

  it('come page by page, each once, and the last page says that it is', async () => {
    const asked: [string, string][] = [['patient', patient.id]];
    const own = [1, 2, 3].map(patient.plan);
    expect(await pages('CarePlan', asked, 2)).toEqual([own.slice(0, 2), own.slice(2)]);
    expect(await pages('CarePlan', asked, 1)).toEqual(own.map((one) => [one]));
    expect(await pages('CarePlan', asked, 3)).toEqual([own]);
    expect(await pages('CarePlan', asked, 4)).toEqual([own]);
  });

  it('are refused behind a page that nobody gave', async () => {
    await expect(
      find('CarePlan', [
        ['patient', patient.id],
        ['_after', `${patient.id}-v1`],
      ]),
    ).rejects.toMatchObject({ status: 400, say: '“_after” cannot be read.' });
  });
});

describe('what was measured and told', () => {
  const told = { id: '', first: '', second: '', third: '' };

  beforeAll(async () => {
    onDay(1);
    const by = await practitioner();
    told.id = await makePatient(by, 'Corm Ashlock');
    await prescribe(by, told.id, [{ exerciseId: 'tuck-lying', dose: '10x10s gap 5s' }]);
    const one = measure({});
    await saveMeasurements(by, { patientId: told.id, measurements: [one] });
    onDay(2);
    const two = measure({ trials: [64] });
    await saveMeasurements(await practitioner(), { patientId: told.id, measurements: [two] });
    const here = await device(await practitioner(), told.id);
    const body = { type: 'check-in', pain: 3, word: '' } as const;
    const three = { ...eventOf(body), deviceAt: now() };
    await takeIn(here, { sentAt: now(), events: [three] });
    Object.assign(told, { first: one.id, second: two.id, third: three.id });
    onDay(3);
  });

  const asked = (...more: [string, string][]): [string, string][] => [
    ['patient', told.id],
    ...more,
  ];

  it('stands in the order of its days, whichever it is', async () => {
    const found = await idsOf('Observation', asked());
    expect(found[0]).toBe(told.first);
    expect(found.slice(1).sort()).toEqual([told.second, told.third].sort());
    expect((await find('Observation', asked())).end).toBeNull();
  });

  it('comes page by page, each once', async () => {
    const all = await idsOf('Observation', asked());
    expect(await pages('Observation', asked(), 1)).toEqual(all.map((one) => [one]));
    expect(await pages('Observation', asked(), 2)).toEqual([all.slice(0, 2), all.slice(2)]);
    expect(await pages('Observation', asked(), 3)).toEqual([all]);
  });

  it('is of the days that are asked for', async () => {
    expect(await idsOf('Observation', asked(['date', '2026-03-02']))).toEqual([told.first]);
    expect(await idsOf('Observation', asked(['date', 'gt2026-03-02']))).toHaveLength(2);
    expect(await idsOf('Observation', asked(['date', 'ge2026-03-04']))).toEqual([]);
  });

  it('says of what was corrected that it was', async () => {
    await saveMeasurements(await practitioner(), {
      patientId: told.id,
      measurements: [measure({ trials: [61], supersedes: told.first })],
    });
    const { resources } = await find('Observation', asked());
    const statuses = new Map(
      resources.map((one) => [one.id, 'status' in one ? one.status : undefined]),
    );
    expect(statuses.get(told.first)).toBe('entered-in-error');
    expect(statuses.get(told.second)).toBe('final');
  });
});

describe('the patients of a clinic', () => {
  const names = ['Perran Gull', 'Perran Heron', 'Perran Tern'];
  const ids: string[] = [];
  beforeAll(async () => {
    const by = await practitioner();
    for (const name of names) {
      const birthDate = (name === 'Perran Tern' ? '1970-05-06' : null) as LocalDate | null;
      const { id } = await addPatient(by, { ...newPatient(name), birthDate, another: true });
      ids.push(id);
    }
  });

  it('are found by a word of their name, page by page, each once', async () => {
    const all = (await pages('Patient', [['name', 'perran']], 10)).flat();
    expect([...all].sort()).toEqual([...ids].sort());
    for (const count of [1, 2, 3])
      expect((await pages('Patient', [['name', 'perran']], count)).flat()).toEqual(all);
    expect(await pages('Patient', [['name', 'perran']], 3)).toHaveLength(1);
    expect(await pages('Patient', [['name', 'perran']], 2)).toHaveLength(2);
  });

  it('are found by their id alone, or not at all', async () => {
    expect(await idsOf('Patient', [['_id', ids[1] ?? '']])).toEqual([ids[1]]);
    expect(await find('Patient', [['_id', randomUUID()]])).toEqual({ resources: [], end: null });
    await expect(find('Patient', [['_after', 'the end']])).rejects.toMatchObject({ status: 400 });
  });

  it('are found by their day of birth', async () => {
    expect(await idsOf('Patient', [['birthdate', '1970-05-06']])).toEqual([ids[2]]);
    expect(await idsOf('Patient', [['birthdate', '1970-05-07']])).toEqual([]);
  });
});

it('is asked for of one patient, of the clinic that asks', async () => {
  const { emails } = await makeClinic('search-elsewhere', ownDomain());
  const theirs = await makePatient(await member(emails.practitioner), 'Somebody Else');
  for (const type of ['CarePlan', 'Observation', 'Procedure'] as const) {
    await expect(find(type, [])).rejects.toMatchObject({
      status: 400,
      say: 'Say which patient: patient=…',
    });
    await expect(find(type, [['patient', theirs]])).rejects.toMatchObject({ status: 404 });
  }
  expect(await idsOf('Patient', [['_id', theirs]])).toEqual([]);
});
