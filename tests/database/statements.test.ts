import type { Client } from '@libsql/client';
import { morningList } from '@/server/morning-list';
import { patientPack } from '@/server/patient-pack';
import { takeIn } from '@/server/take-in';
import { MOST_TOGETHER } from '@/server/take-in/queue';
import { device, makePatient, prescribe } from '../support/clinic';
import { eventOf } from '../support/record';
import { databaseStage } from '../support/stage';

/**
 * How many statements the work of a morning needs. Times depend on the machine; these do not, and a page
 * that asks once more for every patient shows at once.
 */
const stage = databaseStage('statements');

/** The client behind the door, which the server's bundles share. */
function client(): Client {
  const shared = globalThis as unknown as Record<symbol, { client: Client } | undefined>;
  const house = shared[Symbol.for('dry-lantern.database')];
  if (!house) throw new Error('no database is open');
  return house.client;
}

/** Statements that reach the database while a job runs, reads and writes. */
async function statementsOf(job: () => Promise<unknown>): Promise<number> {
  const execute = jest.spyOn(client(), 'execute');
  const batch = jest.spyOn(client(), 'batch');
  await job();
  const count =
    execute.mock.calls.length +
    batch.mock.calls.reduce((sum, [statements]) => sum + statements.length, 0);
  execute.mockRestore();
  batch.mockRestore();
  return count;
}

async function phone(name: string) {
  const id = await makePatient(stage.practitioner, name);
  await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  return device(stage.practitioner, id);
}
const phones = (count: number) =>
  Promise.all(Array.from({ length: count }, (_, index) => phone(`Quay ${index}`)));
const look = () =>
  morningList(stage.practitioner, {
    search: '',
    practitionerId: null,
    group: null,
    page: 1,
  });
const begun = (here: Awaited<ReturnType<typeof phone>>) =>
  takeIn(here, { sentAt: Date.now(), events: [eventOf({ type: 'started' })] });

it('looks at the list with as many statements for thirty patients as for two', async () => {
  await phones(2);
  await look();
  const few = await statementsOf(look);
  await phones(28);
  await look();
  expect(few).toBeLessThanOrEqual(14);
  expect(await statementsOf(look)).toBe(few);
}, 60_000);

it('takes one post in with few statements, and sixteen with hardly more', async () => {
  const all = await phones(MOST_TOGETHER);
  const [first] = all;
  if (!first) throw new Error('no phone');
  const alone = await statementsOf(() => begun(first));
  expect(alone).toBeLessThanOrEqual(9);
  expect(await statementsOf(() => Promise.all(all.map(begun)))).toBeLessThanOrEqual(2 * alone);
}, 60_000);

it('makes a phone’s pack with as many statements after a week as on the first day', async () => {
  const here = await phone('Quay pack');
  const fresh = await statementsOf(() => patientPack(here));
  await begun(here);
  await begun(here);
  expect(fresh).toBeLessThanOrEqual(23);
  expect(await statementsOf(() => patientPack(here))).toBe(fresh);
});
