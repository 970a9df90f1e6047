import fc from 'fast-check';
import { asLine, drawnCases, rounded } from '../../../tests/support/worked';
import * as statistics from '.';

const series = fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 0, maxLength: 24 });
const points = (values: readonly number[]) =>
  values.map((y, i) => ({ x: i + Math.floor(i / 3), y }));

it('medians, ranks, slopes and overlaps', () => {
  expect(
    drawnCases(series, 80).map((values) => {
      const half = Math.floor(values.length / 3);
      const [before, after] = [values.slice(0, half), values.slice(half)];
      return asLine(
        values,
        values.length > 0
          ? [
              statistics.median(values),
              statistics.medianOfSorted([...values].sort((a, b) => a - b)),
            ]
          : null,
        rounded(values.length > 2 ? statistics.varianceInflation(points(values)) : null),
        rounded(statistics.medianPairwiseSlope(points(values))),
        rounded(statistics.medianPairwiseSlope(points(values), 1.7)),
        rounded([
          statistics.nonOverlap(before, after, 'more'),
          statistics.nonOverlap(before, after, 'less'),
        ]),
      );
    }),
  ).toMatchSnapshot();
});

it('two-sided p', () => {
  expect(
    [0, 0.1, 0.5, 1, 1.5, 1.96, 2.5, 3, 4, 6, -1.96].map((z) =>
      asLine(z, rounded(statistics.twoSidedP(z), 5)),
    ),
  ).toMatchSnapshot();
});
