import { idAnswered, isNewId, newId } from './new-id';
import { sentAgain } from './sent-again';

const path = '/api/v1/entries';
const lost = { path, body: { id: 'a', kind: 'goal', body: { say: 'row again' } } };

it('goes under the id it had, where its answer was lost', () => {
  const again = { id: 'b', kind: 'goal', body: { say: 'row again' } };
  expect(sentAgain(path, again, lost, () => true)).toEqual(lost.body);
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
  expect(sentAgain(to, body, before, () => true)).toBe(body);
});

it('goes as it is where its id is that of something that is there: another one is meant', () => {
  const retire = '/api/v1/templates/retire';
  const other = { id: 'b' };
  const before = { path: retire, body: { id: 'a' } };
  expect(sentAgain(retire, other, before, () => false)).toBe(other);
  // Also where one of the two was made a moment ago.
  for (const made of ['a', 'b'])
    expect(sentAgain(retire, other, before, (id) => id === made)).toBe(other);
});

it('knows an id as new until the server has answered for it', () => {
  const id = newId();
  expect([isNewId(id), isNewId('of the record')]).toEqual([true, false]);
  idAnswered(id);
  expect(isNewId(id)).toBe(false);
});
