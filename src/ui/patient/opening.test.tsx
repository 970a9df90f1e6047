import { type Asked, askedIn, placeOf } from './opening';

const asked: readonly Asked[] = [
  { kind: 'day' },
  { kind: 'session', key: 'session-1', end: 'least' },
  { kind: 'session', key: 'every-120-8', end: 'most' },
  { kind: 'session', key: 'as-needed', end: 'least' },
];

it('finds in a place what was asked for', () => {
  for (const one of asked) expect(askedIn(placeOf(one))).toEqual(one);
});

it.each(['', 'open-', 'open-least-', 'open-none-session-1', 'open-day-1', 'open-least-a"b', 'x'])(
  'asks for nothing with %p',
  (hash) => {
    expect(askedIn(hash)).toBeNull();
  },
);
