import type { Zone } from '@/core/schedule';
import { backupWords } from './backup-words';

const OSLO = 'Europe/Oslo' as Zone;
const AT = Date.parse('2026-11-28T02:30:00Z');

it('says when the newest good backup was made, in the clinic’s own time, and what failed since', () => {
  expect(backupWords({ kind: 'good', at: AT, failure: null }, OSLO)).toEqual([
    'The newest good backup is of 28 Nov 2026, 03:30.',
  ]);
  expect(backupWords({ kind: 'old', at: AT, failure: 'There is no room left.' }, OSLO)).toEqual([
    'The newest good backup is of 28 Nov 2026, 03:30, more than two days ago.',
    'The last try failed: There is no room left. Tell whoever looks after the server.',
  ]);
  expect(backupWords({ kind: 'none yet', failure: null }, OSLO)).toEqual([
    'No backup has been made yet.',
  ]);
  expect(backupWords({ kind: 'not set up' }, OSLO)[0]).toContain('every record is lost');
});
