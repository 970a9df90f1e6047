import { processWide } from './process-wide';

it('is one place for all who ask for it by its name, and another by another', () => {
  const first = processWide<number>('test-of-place');
  const second = processWide<number>('test-of-place');
  expect(second.value).toBeUndefined();
  first.value = 0;
  expect(second.value).toBe(0);
  second.value ??= 1;
  expect(first.value).toBe(0);
  expect(processWide<number>('test-of-another').value).toBeUndefined();
  first.value = undefined;
  expect(second.value).toBeUndefined();
});

it('is found by what stands around the server, which has no modules of ours', () => {
  const place = processWide<string>('test-of-place');
  place.value = 'here';
  expect((globalThis as never)[Symbol.for('dry-lantern.test-of-place')]).toBe('here');
  place.value = undefined;
});
