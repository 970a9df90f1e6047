import { ABOUT_NOTHING, togetherFindings } from '.';

const finding = (rule: string | null, measure: string | null, side: 'left' | 'right' | null) => ({
  about: { ...ABOUT_NOTHING, rule, measure, side } as never,
  is: `${rule} ${side}`,
});
const groups = (...all: ReturnType<typeof finding>[]) =>
  togetherFindings(all).map((group) => group.map(({ is }) => is));

it('puts together what says of one movement of one side that it is short', () => {
  expect(
    groups(
      finding('side-difference', 'neck-turn', 'left'),
      finding('chin-jut', 'neck-turn', 'left'),
      finding('range-below-norm', 'neck-turn', 'left'),
    ),
  ).toEqual([['side-difference left', 'range-below-norm left'], ['chin-jut left']]);
});

it('never across sides or movements, nor what a clinician added', () => {
  expect(
    groups(
      finding('side-difference', 'neck-turn', 'left'),
      finding('range-below-norm', 'neck-turn', 'right'),
      finding('range-below-norm', 'neck-side-bend', 'left'),
      finding(null, 'neck-turn', 'left'),
    ),
  ).toHaveLength(4);
});
