import { asLine, rounded } from '../../../tests/support/worked';
import { seconds } from '../units';
import {
  type Reading,
  SIMULATED,
  isBroken,
  longestHold,
  peakOf,
  plateauOf,
  seededChance,
  simulatedReading,
  tiltFrom,
  trialState,
} from '.';

/** A stream of a truth, by the seeded chance. */
function stream(
  name: keyof typeof SIMULATED,
  length: number,
  seed: number,
  truth: (at: number) => number,
): Reading[] {
  const chance = seededChance(seed);
  return Array.from({ length: Math.round(length * 20) }, (_, i) =>
    simulatedReading(truth(i / 20), seconds(i / 20), SIMULATED[name], chance),
  ).filter((one): one is Reading => one !== null);
}
const every = (step: number, values: readonly number[]): Reading[] =>
  values.map((value, i) => ({ at: seconds(i * step), value }));

it('simulated streams, and what is read off them as they arrive', () => {
  const shapes: readonly ((at: number) => number)[] = [
    (at) => (at < 1 ? 0 : at < 5 ? 80 : 0),
    (at) => Math.min(62, at * 20),
    (at) => (at < 1 ? 20 : at < 6 ? 24 : 20),
    () => 3,
    (at) => (at % 2 < 1 ? 30 : 0),
  ];
  expect(
    (Object.keys(SIMULATED) as (keyof typeof SIMULATED)[]).flatMap((name) =>
      shapes.map((truth, i) => {
        const readings = stream(name, 7, i + 1, truth);
        return asLine(
          name,
          readings.length,
          rounded([
            peakOf(readings),
            plateauOf(readings),
            plateauOf(readings, { seconds: 0.5, within: 10 }),
          ]),
          rounded([longestHold(readings, [23, 25]), longestHold(readings, [60, 90])]),
          isBroken(readings),
          [10, 25, 40, 60, 90, 110, 140].map((count) =>
            rounded(
              (['peak', 'level'] as const).map((method) =>
                trialState(method, readings.slice(0, count)),
              ),
            ),
          ),
        );
      }),
    ),
  ).toMatchSnapshot();
});

it('streams at the edges of silence, slip and window', () => {
  const steps = [0.4, 0.5, 0.51, 1];
  expect(
    steps.map((step) =>
      asLine(
        step,
        isBroken(every(step, [1, 1, 1])),
        rounded(longestHold(every(step, [24, 24, 20, 24, 24]), [23, 25])),
        rounded(plateauOf(every(step, [1, 2, 3, 4]))),
        rounded(peakOf(every(step, [1, 9, 2]))),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    [
      [23, 25],
      [24, 24],
      [25, 23],
    ].map(([least = 0, most = 0]) =>
      rounded(longestHold(every(0.1, [23, 24, 25, 25.1, 25.1, 24, 22.9, 23]), [least, most])),
    ),
  ).toMatchSnapshot();
  expect([
    plateauOf(every(0.05, Array<number>(16).fill(5))),
    plateauOf(every(0.05, Array<number>(17).fill(5))),
    plateauOf(
      every(
        0.05,
        Array.from({ length: 30 }, (_, i) => (i % 2) * 3),
      ),
    ),
    plateauOf(
      every(
        0.05,
        Array.from({ length: 30 }, (_, i) => (i % 2) * 3.1),
      ),
    ),
  ]).toMatchSnapshot();
});

it('tilts', () => {
  const angles = [0, 30, 90, -45, 180];
  expect(
    angles.flatMap((beta) =>
      angles.map((gamma) =>
        rounded(tiltFrom({ alpha: 20, beta: 10, gamma: -5 }, { alpha: 70, beta, gamma })),
      ),
    ),
  ).toMatchSnapshot();
});
