import { sentAgain } from './sent-again';

const path = '/api/v1/entries';
const lost = { path, body: { id: 'a', kind: 'goal', body: { say: 'row again' } } };

it('goes under the id it had, where its answer was lost', () => {
  const again = { id: 'b', kind: 'goal', body: { say: 'row again' } };
  expect(sentAgain(path, again, lost)).toEqual(lost.body);
  expect(again.id).toBe('b');
});

it.each([
  ['other words', path, { id: 'b', kind: 'goal', body: { say: 'row far' } }, lost],
  [
    'another place',
    '/api/v1/findings',
    { id: 'b', kind: 'goal', body: { say: 'row again' } },
    lost,
  ],
  ['all answered', path, { id: 'b', kind: 'goal', body: { say: 'row again' } }, null],
  ['a record without an id', path, { kind: 'goal', body: { say: 'row again' } }, lost],
  ['no record before', path, { id: 'b' }, { path, body: 'text' }],
  ['no record at all', path, null, lost],
])('goes as it is: %s', (_, to, body, before) => {
  expect(sentAgain(to, body, before)).toBe(body);
});
