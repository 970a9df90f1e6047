import type { StoredEventBody } from '../adherence';
import { standingEvents } from './standing-events';

const event = (sessionId: string, body: StoredEventBody, writtenBy: string | null = 'pia') => ({
  sessionId,
  body,
  writtenBy,
});
const started = { type: 'started' } as const;
const back = (...sessions: string[]): StoredEventBody => ({ type: 'taken back', sessions });
const standing = (...events: ReturnType<typeof event>[]) =>
  standingEvents(events).map(({ sessionId }) => sessionId);

it('leaves all where nothing was taken back', () =>
  expect(standing(event('a', started), event('b', started, null))).toEqual(['a', 'b']));

it('takes out what was written down, whichever came first', () => {
  expect(standing(event('a', started), event('b', started), event('x', back('a')))).toEqual(['b']);
  expect(standing(event('x', back('a', 'b')), event('a', started), event('b', started))).toEqual(
    [],
  );
});

it('takes out nothing that a device told, and believes no device that says so', () => {
  expect(standing(event('a', started, null), event('x', back('a')))).toEqual(['a']);
  expect(standing(event('a', started), event('x', back('a'), null))).toEqual(['a']);
});

it('takes a taking back out itself, and not what was written down anew', () =>
  expect(standing(event('a', started), event('x', back('a')), event('c', started))).toEqual(['c']));
