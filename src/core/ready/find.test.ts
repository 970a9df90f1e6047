import { findReady } from '.';

const PROGRAMMES = [
  { id: 'a', name: 'Slow morning', keywords: ['ten minutes', 'calm'] },
  { id: 'b', name: 'Ten by ten', keywords: ['holds'] },
  { id: 'c', name: 'Nets and ropes', keywords: ['tense shoulders'] },
];
const found = (typed: string) => findReady(PROGRAMMES, typed).map(({ id }) => id);

it('has those first whose name begins with what was typed, then those that are found by another word', () => {
  expect(found('ten')).toEqual(['b', 'a', 'c']);
  expect(found('ten by')).toEqual(['b']);
  expect(found('calm slow')).toEqual(['a']);
  expect(found('rowing')).toEqual([]);
});
