import { line, on, session, version } from '../../../tests/support/follow-record';
import type { WallMinute } from '../schedule';
import { doneOfLines } from '.';

const WAKING = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };
const log = (lineage: string, share: number) => ({
  lineage,
  share,
  reps: 10,
  heldSeconds: 0,
  hold: null,
  sets: [10],
  skipped: null,
});
/** The sessions of two lines' complaint; the third line is for another one. */
const of = (lines: ReturnType<typeof log>[], own = ['tuck', 'evening'], versionNumber = 1) =>
  doneOfLines(
    on(-1),
    { lines: [], sessions: [session({ lines, version: versionNumber })] },
    new Set(own),
    [
      version(
        1,
        -20,
        line('10x10s'),
        { ...line('10x10s', 'evening'), session: 'evening' as never },
        line('10x10s', 'other'),
      ),
    ],
    WAKING,
  ).sessions.map(({ share, lines: kept }) => [share, kept.map(({ lineage }) => lineage)]);

it('shares out by what is asked of the session, not by what another session asks', () => {
  // The evening's line is not asked of the morning's session: half of the tuck is half of it.
  expect(of([log('tuck', 0.5), log('other', 1)])).toEqual([[0.5, ['tuck']]]);
  expect(of([log('tuck', 3)])).toEqual([[1, ['tuck']]]);
});

it('is no session of lines that it neither asks nor tells of', () => {
  expect(of([log('other', 1)], ['evening'])).toEqual([]);
  expect(of([log('other', 1)], ['tuck'])).toEqual([[0, []]]);
});

it('keeps what a version that is gone told of them, as it was told', () => {
  expect(of([log('tuck', 1), log('other', 1)], ['tuck'], 9)).toEqual([[1, ['tuck']]]);
  expect(of([log('other', 1)], ['tuck'], 9)).toEqual([]);
});
