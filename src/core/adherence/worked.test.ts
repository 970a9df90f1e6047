import { recordCase } from '../../../tests/support/record-cases';
import { doseFrom, doseLine } from '../../../tests/support/dose-lines';
import { asLine, digest, drawnCases, rounded } from '../../../tests/support/worked';
import { BOUT_MODES } from '../dose';
import { localDate } from '../units';
import {
  EVENTS_BODY_LIMIT,
  MOST_EVENTS_POSTED,
  type RepDone,
  fittingEvents,
  foldSession,
  isStop,
  lineTarget,
  shareBeyondMost,
  shareDone,
} from '.';

it('what a line asks, and the share that was done of it', () => {
  const rep = (n: number, held: number, moved: number): RepDone => ({
    round: 1,
    side: null,
    direction: 1,
    station: 1,
    set: 1,
    rep: n,
    held,
    moved,
  });
  expect(
    drawnCases(doseLine, 70, 3).map((line, i) => {
      const target = lineTarget(
        { dose: doseFrom(line), mode: BOUT_MODES[i % 3] ?? 'held', position: 'lying' },
        1 + (i % 2),
      );
      const done = [0, 1, 5, 9.8, 10, 60].map((count) => {
        const reps = Array.from({ length: Math.ceil(count) }, (_, n) =>
          rep(n + 1, 5 * Math.min(1, count - n), 2),
        );
        return rounded([shareDone(target, reps), shareBeyondMost(target, reps)]);
      });
      return asLine(line, rounded(target), done);
    }),
  ).toMatchSnapshot();
  const asked = { seconds: { least: 100, most: 100 }, reps: { least: 10, most: 12 }, weight: 1 };
  expect(
    [97.9, 98, 98.1, 101.9, 102, 102.1, 200].map((held) =>
      rounded([shareDone(asked, [rep(1, held, 0)]), shareBeyondMost(asked, [rep(1, held, 0)])]),
    ),
  ).toMatchSnapshot();
});

it('sessions folded, and what stops', () => {
  expect(
    drawnCases(recordCase, 12, 5).map(({ events }) => {
      const bodies = [...events.values()].flat().map(({ body }) => body);
      const half = Math.ceil(bodies.length / 2);
      return asLine(
        bodies.filter(isStop).length,
        digest(rounded(foldSession('a', localDate('2026-10-01'), bodies.slice(0, half)))),
        digest(rounded(foldSession('a', localDate('2026-10-01'), [...bodies].reverse()))),
      );
    }),
  ).toMatchSnapshot();
});

it('how many events fit into one post', () => {
  const [most, count] = [EVENTS_BODY_LIMIT, MOST_EVENTS_POSTED];
  expect([
    fittingEvents([], 20),
    fittingEvents([most + 5], 20),
    fittingEvents([most - 21, 1], 20),
    fittingEvents([most - 22, 0], 20),
    fittingEvents([most - 23, 0], 20),
    fittingEvents(Array<number>(count + 5).fill(10), 20),
    fittingEvents([most / 2, most / 2 - 22, 5], 20),
    fittingEvents([most / 2, most / 2 - 21, 5], 20),
  ]).toMatchSnapshot();
});
