import { randomUUID } from 'node:crypto';
import { addDays } from '@/core/units';
import { now, setClock } from '@/server/clock';
import { followOf } from '@/server/follow/strips';
import { setPaused } from '@/server/save-programme';
import { saveEntry } from '@/server/visit/entries';
import { draftNote } from '@/server/visit/note';
import { screenStep } from '@/server/visit/screen-step';
import { makePatient, prescribe, today } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

const stage = databaseStage('told so far');
const LINE = [{ exerciseId: 'tuck-lying', dose: '10x10s daily' }];
const DAY_MS = 86_400_000;

afterEach(() => setClock(null));

/** A patient whose programme began so many days ago. */
async function since(days: number): Promise<string> {
  const real = now();
  setClock(() => real - days * DAY_MS);
  const id = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, id, LINE, { effectiveFrom: today() });
  setClock(null);
  return id;
}

async function care(patientId: string, daysAgo: number, what: string): Promise<void> {
  await saveEntry(stage.practitioner, {
    id: randomUUID(),
    patientId,
    kind: 'care',
    supersedes: null,
    on: addDays(today(), -daysAgo),
    body: { kind: 'hands-on care', what },
  });
}

it('what happened beside the programme stands in its order, from the programme’s first day on', async () => {
  const id = await since(20);
  await care(id, 3, 'the later');
  await care(id, 12, 'the earlier');
  await care(id, 40, 'long before');
  await setPaused(stage.practitioner, id, true);
  const { beside, from } = await followOf(stage.practitioner, await patientOf(stage, id));
  expect(from).toBe(addDays(today(), -20));
  expect(beside).toEqual([
    { date: addDays(today(), -12), say: 'hands-on care: the earlier' },
    { date: addDays(today(), -3), say: 'hands-on care: the later' },
    { date: today(), say: 'paused', pausedTo: null },
  ]);
});

it('the strips reach a leap year back and no farther', async () => {
  const id = await since(500);
  const { from, days } = await followOf(stage.practitioner, await patientOf(stage, id));
  expect(from).toBe(addDays(today(), -365));
  expect(days).toHaveLength(366);
});

it('a programme runs at home while there is one and no pause is open', async () => {
  const runs = async (id: string) =>
    (await screenStep(stage.practitioner, await patientOf(stage, id), 'Neck')).running;
  const id = await makePatient(stage.practitioner);
  expect(await runs(id)).toBe(false);
  await prescribe(stage.practitioner, id, LINE);
  expect(await runs(id)).toBe(true);
  await setPaused(stage.practitioner, id, true);
  expect(await runs(id)).toBe(false);
  await setPaused(stage.practitioner, id, false);
  expect(await runs(id)).toBe(true);
});

it('a note says how irritable it is where it was asked, and nothing where it was not', async () => {
  const id = await makePatient(stage.practitioner);
  const text = async () => (await draftNote(await patientOf(stage, id), 'Neck')).subjective;
  const history = {
    onset: 'Since the storm',
    aggravates: '',
    eases: '',
    morning: '',
    day: '',
    night: '',
    medicines: '',
    earlierCare: '',
  };
  const first = randomUUID();
  await saveEntry(stage.practitioner, {
    id: first,
    patientId: id,
    kind: 'history',
    supersedes: null,
    on: today(),
    body: { ...history, irritability: null },
  });
  expect(await text()).toContain('Since the storm');
  expect(await text()).not.toMatch(/irritab/i);
  await saveEntry(stage.practitioner, {
    id: randomUUID(),
    patientId: id,
    kind: 'history',
    supersedes: first,
    on: today(),
    body: {
      ...history,
      irritability: { provokedBy: 'ordinary movement', worst: 5, settlesWithin: 'hours' },
    },
  });
  expect(await text()).toMatch(/Irritability[^\n]*moderate/i);
});
