import type { Instant } from '../schedule';
import { backupStateAt, backupsNeedLook } from '.';

const DAY_MS = 86_400_000;
const now = (days: number) => (days * DAY_MS) as Instant;

it('calls a backup old from its second day on', () => {
  expect(backupStateAt(0, null, now(2))).toEqual({ kind: 'good', at: 0, failure: null });
  expect(backupStateAt(0, null, (now(2) + 1) as Instant)).toMatchObject({ kind: 'old', at: 0 });
  expect(backupStateAt(null, 'No room.', now(2))).toEqual({
    kind: 'none yet',
    failure: 'No room.',
  });
});

it('asks for a look wherever it is not good, or the last try failed', () => {
  expect(backupsNeedLook({ kind: 'not set up' })).toBe(true);
  expect(backupsNeedLook({ kind: 'none yet', failure: null })).toBe(true);
  expect(backupsNeedLook({ kind: 'old', at: 1, failure: null })).toBe(true);
  expect(backupsNeedLook({ kind: 'good', at: 1, failure: null })).toBe(false);
  expect(backupsNeedLook({ kind: 'good', at: 1, failure: 'No room.' })).toBe(true);
});
