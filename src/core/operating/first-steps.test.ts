import type { Instant } from '../schedule';
import { FIRST_STEPS, firstStepsLeft } from '.';

const NEW = {
  createdAt: 0 as Instant,
  now: 0 as Instant,
  members: 1,
  patients: 0,
  hasBackup: false,
  hasAddress: false,
};

it('asks a new clinic for what it has not done, and for nothing once it has', () => {
  expect(firstStepsLeft(NEW)).toEqual(FIRST_STEPS);
  expect(firstStepsLeft({ ...NEW, members: 2, hasAddress: true })).toEqual(['patient', 'backup']);
  expect(
    firstStepsLeft({ ...NEW, members: 2, patients: 1, hasBackup: true, hasAddress: true }),
  ).toEqual([]);
});

it('leaves a clinic alone after thirty days', () => {
  const day = 86_400_000;
  expect(firstStepsLeft({ ...NEW, now: (30 * day) as Instant })).not.toEqual([]);
  expect(firstStepsLeft({ ...NEW, now: (30 * day + 1) as Instant })).toEqual([]);
});
