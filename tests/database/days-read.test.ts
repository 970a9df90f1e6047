import { createClient } from '@libsql/client';
import { addDays } from '@/core/units';
import { databaseUrl, daysDone, daysRead } from '@/db';
import { unreadableIn } from '@/server/problem';
import { today } from '../support/clinic';
import { beginLife, liveOn } from '../support/life';
import { databaseStage } from '../support/stage';

const stage = databaseStage('days-read');
const LIVED = 8;
const FROM = () => addDays(today(), -60);

async function lived(pains: readonly number[]): Promise<string> {
  const life = await beginLife(stage.practitioner, [{}, { dose: 'x4 daily' }], { daysAgo: LIVED });
  await liveOn(
    life,
    pains.map((pain) => ({ pain, morning: pain > 4 ? 'still sore' : 'none' })),
  );
  return life.patientId;
}

it('are the folded days, of many patients at once, each in order and from day to day', async () => {
  const { clinicId } = stage.practitioner;
  const ids = [await lived([1, 5, 2]), await lived([]), await lived([7, 3, 3, 0, 6])];
  const read = await daysRead(clinicId, ids, FROM(), today());
  const folded = (await daysDone(clinicId, ids, FROM(), today()))
    .map(({ patientId, localDate, done, report, pain }) => ({
      patientId,
      localDate,
      done,
      report,
      pain,
    }))
    .sort((a, b) => `${a.patientId} ${a.localDate}`.localeCompare(`${b.patientId} ${b.localDate}`));
  expect(folded.length).toBeGreaterThan(6);
  expect([...read].sort((a, b) => a.patientId.localeCompare(b.patientId))).toEqual(folded);
  const [first] = folded;
  if (!first) throw new Error('nobody lived');
  const { patientId, localDate } = first;
  expect(await daysRead(clinicId, [patientId], localDate, localDate)).toEqual([first]);
  expect(
    await daysRead(clinicId, [patientId], addDays(localDate, -9), addDays(localDate, -1)),
  ).toEqual([]);
  expect(await daysRead(clinicId, [], FROM(), today())).toEqual([]);
  expect(await daysRead('another clinic', [patientId], FROM(), today())).toEqual([]);
});

it.each([
  ['done', '{'],
  ['done', '{"lines":[],"sessions":[]},null'],
  ['report', '{"worst":"much"}'],
  ['report', '{}]]'],
])('name the day whose %s is spoilt (%s)', async (column, value) => {
  const { clinicId } = stage.practitioner;
  const patientId = await lived([2, 2]);
  const client = createClient({ url: databaseUrl() });
  await client.execute({
    sql: `UPDATE day_done SET ${column} = ? WHERE patient_id = ? AND local_date = (SELECT max(local_date) FROM day_done WHERE patient_id = ?)`,
    args: [value, patientId, patientId],
  });
  client.close();
  const error: unknown = await daysRead(clinicId, [patientId], FROM(), today()).catch(
    (failed: unknown) => failed,
  );
  expect(unreadableIn(error)).toMatch(
    column === 'done' ? /what was done on a day/ : /what was told of a day/,
  );
});
