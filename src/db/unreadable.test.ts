import { Unreadable, isMarked, markUnreadable, marksSoFar, refuseMarked } from './unreadable';

const refused = (rows: unknown): Unreadable | null => {
  try {
    refuseMarked(rows);
    return null;
  } catch (error) {
    if (error instanceof Unreadable) return error;
    throw error;
  }
};

it('knows a mark from everything else a column can hold', () => {
  expect(isMarked(markUnreadable('a measurement'))).toBe(true);
  for (const value of [null, undefined, 0, 1, '', 'text', true, {}, [], new Date(0)])
    expect(isMarked(value)).toBe(false);
});

it('counts each value that could not be read once', () => {
  const before = marksSoFar();
  markUnreadable('a measurement');
  expect(marksSoFar()).toBe(before + 1);
  markUnreadable('a photo');
  expect(marksSoFar()).toBe(before + 2);
});

it('lets rows without a mark pass, whatever else they hold', () => {
  for (const rows of [
    [],
    [{ id: 'a', body: null }],
    [{ id: 'a', body: { id: 'b', list: [1, null] } }],
    null,
  ])
    expect(refused(rows)).toBeNull();
});

it('names the record that the value stands in, the nearest that has an id', () => {
  const mark = markUnreadable('a measurement');
  expect(
    refused([
      { id: 'a', body: 1 },
      { id: 'b', body: mark },
    ]),
  ).toMatchObject({
    what: 'a measurement',
    id: 'b',
  });
  expect(refused([{ visit: { id: 'v', at: 1 }, measure: { id: 'm', body: mark } }])?.id).toBe('m');
  expect(refused([{ id: 'outer', measure: { id: 7, list: [0, mark] } }])?.id).toBe('outer');
  expect(refused([{ body: mark }])?.id).toBeNull();
});

it('says which record it is and what to do, and nothing of what stands in it', () => {
  const mark = markUnreadable('a measurement');
  expect(refused([{ id: 'b', body: mark }])?.say).toBe(
    'Part of this record cannot be read: a measurement (b). It is kept as it is. Ask whoever looks after the server to restore it; until then this page cannot be shown.',
  );
  expect(refused([{ body: mark }])?.say).toContain('cannot be read: a measurement. It is kept');
});
