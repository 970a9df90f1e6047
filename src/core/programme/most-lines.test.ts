import { tooManyLines } from '.';

it('says from the sixty-first line on that there are too many', () => {
  expect(tooManyLines(0)).toBeNull();
  expect(tooManyLines(60)).toBeNull();
  expect(tooManyLines(61)).toBe(
    'A programme has at most 60 exercises; this has 61. Take some out: nobody does so many at home.',
  );
});
