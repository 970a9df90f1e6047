import { dose } from '../../../tests/support/dose-lines';
import { asLine, drawnCases, rounded } from '../../../tests/support/worked';
import { formatDose } from '../dose';
import {
  ADJUSTABLE_PERCENT,
  ASCENDING_PERCENT,
  DESCENDING_PERCENT,
  bandCurveProblem,
  bandForce,
  forceBand,
  fourthSetLoad,
  fraction,
  holdCheck,
  loadContradiction,
  loadStep,
  nextWorkingLoad,
  oneRepMaximum,
  powerEndurance,
  predictedEndurance,
  predictedLoad,
  repsAllowed,
  rohmertEndurance,
  roundLoad,
  schemeLoads,
  tenRepMaximum,
} from '.';
import { doseFrom } from '../../../tests/support/dose-lines';

const COUNTS = Array.from({ length: 21 }, (_, reps) => reps);

it('loads after the third and the fourth set', () => {
  expect(
    COUNTS.flatMap((reps) =>
      (['kg', 'lb'] as const).map((unit) =>
        asLine(reps, unit, fourthSetLoad(reps, 20, unit), nextWorkingLoad(reps, 3, unit)),
      ),
    ),
  ).toMatchSnapshot();
});

it('maxima and what they predict', () => {
  expect(
    COUNTS.slice(1).map((reps) =>
      asLine(
        reps,
        rounded(oneRepMaximum(40, reps)),
        rounded(tenRepMaximum(40, reps)),
        rounded([
          predictedLoad(40, reps, 5),
          predictedLoad(40, reps, 1),
          predictedLoad(40, 10, reps),
        ]),
        rounded(repsAllowed(fraction(reps / 20))),
      ),
    ),
  ).toMatchSnapshot();
});

it('loads of a scheme, rounded to what is owned', () => {
  expect(
    [ADJUSTABLE_PERCENT, ASCENDING_PERCENT, DESCENDING_PERCENT].flatMap((percents) =>
      [4, 10, 33.3].map((maximum) => schemeLoads(maximum, percents)),
    ),
  ).toMatchSnapshot();
  const owned = [[], [1, 2, 3, 5, 8], [0.5], [2.5, 5, 7.5]];
  expect(
    owned.flatMap((weights) =>
      [0, 0.4, 1.5, 4, 6.5, 9].map((wanted) => asLine(weights, wanted, roundLoad(wanted, weights))),
    ),
  ).toMatchSnapshot();
  expect(
    owned.flatMap((weights) =>
      [1, 2.5, 5, 20].flatMap((from) =>
        [5, 8, 10, 11, 15, 20].map((reps) =>
          asLine(
            weights,
            from,
            reps,
            loadStep(from, reps, weights),
            loadStep(from, reps, weights, 5),
          ),
        ),
      ),
    ),
  ).toMatchSnapshot();
});

it('endurance by effort', () => {
  const shares = [-0.1, 0, 0.05, 0.15, 0.151, 0.2, 0.5, 0.8, 1, 1.001];
  expect(
    shares.map((share) => {
      const f = fraction(share);
      return asLine(
        share,
        rounded([rohmertEndurance(f), powerEndurance(f, 'joints'), powerEndurance(f, 'trunk')]),
        rounded(predictedEndurance({ least: f, most: fraction(Math.min(1, share + 0.1)) })),
      );
    }),
  ).toMatchSnapshot();
});

it('holds, forces and contradictions of a dose', () => {
  const lines = [
    'x1 hold 15s 50%',
    'x1 hold 16s 50%',
    '3x120s 50%',
    '3x60s rpe 4',
    '6-4-2 hold 30s 60-80%',
    '3x52s 50%',
    '3x100s 50%',
    '3x110s 50%',
    '3x5min 1%',
    '3x30s 100%',
    '3x10 80% 1rm',
    '3x8 80% 1rm',
    '3x9 80% 1rm',
    '3x10 60/75/90% 1rm',
    'x1 100% 1rm',
    'x2 100% 1rm',
    '3x10 80% 10rm',
    'x10 75% 1rm',
    'x11 75% 1rm',
    '12-10-max 70% 1rm',
  ].map((line) => doseFrom(line));
  expect(
    [...lines, ...drawnCases(dose, 60, 4)].map((one) =>
      asLine(
        formatDose(one),
        rounded(holdCheck(one)),
        rounded(forceBand(one, 120)),
        rounded(loadContradiction(one)),
      ),
    ),
  ).toMatchSnapshot();
});

it('bands', () => {
  const curves = [
    [],
    [[0, 0]],
    [
      [0, 0],
      [100, 40],
    ],
    [
      [100, 40],
      [0, 0],
      [50, 30],
    ],
    [
      [0, 5],
      [50, 5],
      [100, 40],
      [200, 200],
    ],
    [
      [10, 8],
      [20, 9],
      [30, 30],
      [80, 31],
    ],
    [
      [0, 0],
      [0, 5],
    ],
    [
      [0, 10],
      [50, 5],
    ],
  ].map((points) =>
    points.map(([stretchPercent = 0, newtons = 0]) => ({ stretchPercent, newtons })),
  );
  expect(
    curves.map((points) =>
      asLine(
        bandCurveProblem(points),
        [-20, 0, 10, 15, 20, 25, 50, 75, 100, 101, 200, 300].map((at) =>
          rounded(bandForce(points, at)),
        ),
      ),
    ),
  ).toMatchSnapshot();
});
