import { alarmedWithoutRow, insertAlert, waitingTriage, write } from '@/db';
import { builder } from '@/db/door';
import { triageRow } from '@/db/schema';
import { now } from '@/server/clock';
import { refreshTriage } from '@/server/follow/refresh';
import { morningList } from '@/server/morning-list';
import { makePatient } from '../support/clinic';
import { eventually } from '../support/record';
import { databaseStage } from '../support/stage';

/** Whose rows somebody who looks waits for, and whose are reckoned behind the look. */
const stage = databaseStage('look');

const alarm = (patientId: string) =>
  write(() => [
    insertAlert({
      clinicId: stage.practitioner.clinicId,
      id: `stop ${patientId}`,
      patientId,
      kind: 'stopped for a symptom',
      createdAt: now(),
    }),
  ]);
const midnight = () =>
  write(() => [
    builder()
      .update(triageRow)
      .set({ staleAt: 1 as never }),
  ]);
const listed = async () => {
  const { groups, waiting } = await morningList(stage.practitioner, {
    search: '',
    practitionerId: null,
    group: null,
    page: 1,
  });
  const names = (level: string | null) =>
    groups.find((one) => one.level === level)?.rows.map(({ name }) => name) ?? [];
  return { waiting, calls: names('call today'), decide: names('decide') };
};

it('shows the rows of before after midnight, and a danger that is new among them at once', async () => {
  const { clinicId } = stage.practitioner;
  const ids: string[] = [];
  for (let index = 0; index < 40; index += 1)
    ids.push(await makePatient(stage.practitioner, `Quay ${String(index).padStart(2, '0')}`));
  await refreshTriage(clinicId);
  await alarm(ids[0] ?? '');
  await refreshTriage(clinicId);
  await midnight();
  expect(await waitingTriage(clinicId, now())).toEqual({ missing: 0, stale: 40 });
  // An alert of before stands in the row of before; one that comes now takes its row away.
  expect(await alarmedWithoutRow(clinicId, 10)).toEqual([]);
  await alarm(ids[39] ?? '');
  expect(await alarmedWithoutRow(clinicId, 10)).toEqual([ids[39]]);
  const seen = await listed();
  expect(seen.calls).toEqual(['Quay 00', 'Quay 39']);
  expect(seen.decide).toHaveLength(30);
  // What is past its time is reckoned behind the look; the next one finds it.
  await eventually(async () => {
    expect(await waitingTriage(clinicId, now())).toEqual({ missing: 0, stale: 0 });
  });
}, 60_000);

it('waits for a few whatever they are', async () => {
  const { clinicId } = stage.practitioner;
  await makePatient(stage.practitioner, 'Reed New');
  expect((await waitingTriage(clinicId, now())).missing).toBe(1);
  expect((await listed()).waiting).toBe(0);
});
