import { dateFormat } from './date-format';

it('makes a format once for each language, zone and look', () => {
  const look = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone: 'UTC' } as const;
  const one = dateFormat('en', look);
  expect(dateFormat('en', { ...look })).toBe(one);
  expect(dateFormat('de', look)).not.toBe(one);
  expect(dateFormat('en', { ...look, timeZone: 'Pacific/Apia' })).not.toBe(one);
  expect(dateFormat('en', { ...look, weekday: 'long' })).not.toBe(one);
  expect(one.format(23.5 * 3_600_000)).toBe('23:30');
});

it('is refused for a zone that is not known, each time', () => {
  const nowhere = () => dateFormat('en', { timeZone: 'Nowhere/Land' });
  expect(nowhere).toThrow(RangeError);
  expect(nowhere).toThrow(RangeError);
});
