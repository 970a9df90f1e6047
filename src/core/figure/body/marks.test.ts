import { MARKS, type MarkName, mirrorMark, size } from '.';

const NAMES = Object.keys(MARKS) as MarkName[];

test('every mark: on which part, where, and which way its skin looks', () => {
  const told = NAMES.map((name) => {
    const { part, at, out } = MARKS[name];
    const way = out?.map((one) => Math.round(one * 1000) / 1000);
    return `${name}: ${part} ${at.join(' ')}${way ? `, looks ${way.join(' ')}` : ''}`;
  });
  expect(told.join('\n')).toMatchSnapshot();
});

test.each(NAMES)('%s is where its mirror’s mirror is, and its skin looks one long', (name) => {
  const [here, there] = [MARKS[name], MARKS[mirrorMark(name)]];
  expect(mirrorMark(mirrorMark(name))).toBe(name);
  const pair = name !== mirrorMark(name);
  expect(there.at).toEqual(pair ? [here.at[0], here.at[1], -here.at[2]] : here.at);
  if (here.out) expect(size(here.out)).toBeCloseTo(1, 12);
});
