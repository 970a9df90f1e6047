import { isolated } from '.';

it('keeps what is put into a sentence together, and leaves numbers as they are', () => {
  expect(isolated({ name: 'Ilse', count: 3, phone: '+000 1' })).toEqual({
    name: '\u2068Ilse\u2069',
    count: 3,
    phone: '\u2068+000 1\u2069',
  });
  expect(isolated({})).toEqual({});
});
