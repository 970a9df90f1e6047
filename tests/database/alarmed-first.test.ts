import { alarmedWithoutRow, insertAlert, waitingTriage, write } from '@/db';
import { now } from '@/server/clock';
import { readyForLook } from '@/server/follow/refresh';
import { makePatient } from '../support/clinic';
import { databaseStage } from '../support/stage';

/** Who is reckoned first where a look has no time for everybody. */
const stage = databaseStage('alarmed-first');

// Nothing is reckoned behind the look: what is there afterwards is what the look waited for.
jest.mock('@/server/after-answer', () => ({ afterAnswer: () => undefined }));

it('reckons whoever has an open alert even where the time of a look is over at once', async () => {
  const { clinicId } = stage.practitioner;
  const ids: string[] = [];
  for (let index = 0; index < 30; index += 1)
    ids.push(await makePatient(stage.practitioner, `Wharf ${index}`));
  const alarmed = ids.slice(-2);
  await write(() =>
    alarmed.map((patientId) =>
      insertAlert({
        clinicId,
        id: `stop ${patientId}`,
        patientId,
        kind: 'stopped for a symptom',
        createdAt: now(),
      }),
    ),
  );
  expect((await alarmedWithoutRow(clinicId, 10)).sort()).toEqual([...alarmed].sort());
  // Five seconds pass once the look has begun.
  const real = performance.now.bind(performance);
  let passed = 0;
  const clock = jest.spyOn(performance, 'now').mockImplementation(() => {
    const at = real() + passed;
    passed = 5_000;
    return at;
  });
  const left = await readyForLook(clinicId);
  clock.mockRestore();
  expect(left).toBe(28);
  expect(await alarmedWithoutRow(clinicId, 10)).toEqual([]);
  expect(await waitingTriage(clinicId, now())).toEqual({ missing: 28, stale: 0 });
  // The next look has its time, and waits for everybody.
  expect(await readyForLook(clinicId)).toBe(0);
}, 60_000);
