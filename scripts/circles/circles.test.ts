import { join } from 'node:path';
import { circlesIn, importsBelow } from './circles';

it('no file reaches itself through what it imports', () => {
  const imports = importsBelow(join(__dirname, '../../src'));
  expect(imports.size).toBeGreaterThan(400);
  expect(circlesIn(imports)).toEqual([]);
});

it('finds a circle, and the way round it', () => {
  const imports = new Map([
    ['a', ['b']],
    ['b', ['c', 'd']],
    ['c', []],
    ['d', ['b']],
  ]);
  expect(circlesIn(imports)).toEqual([['b', 'd', 'b']]);
});
