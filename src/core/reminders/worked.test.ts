import { asLine } from '../../../tests/support/worked';
import { isQuiet, isReminded, remindersOf, retryAfter } from '.';

it('quiet hours', () => {
  const spans = [
    { from: 1260, to: 420 },
    { from: 720, to: 780 },
    { from: 0, to: 0 },
    { from: 0, to: 1440 },
    { from: 420, to: 420 },
  ];
  expect(
    spans.map((quiet) =>
      asLine(
        quiet,
        [-60, 0, 419, 420, 421, 719, 720, 779, 780, 1259, 1260, 1439, 1440, 1500, 1860].filter(
          (at) => isQuiet(at, quiet),
        ),
      ),
    ),
  ).toMatchSnapshot();
});

it('reminders the less they are answered', () => {
  expect(
    [0, 1, 2, 3, 4, 7, 8, 9, 30].map((ignored) =>
      asLine(
        ignored,
        Array.from({ length: 15 }, (_, day) => (isReminded(ignored, day) ? day : '')).join(' '),
      ),
    ),
  ).toMatchSnapshot();
  const moments = (['session', 'posture'] as const).flatMap((kind) =>
    [480, 1300].flatMap((at) =>
      [false, true].map((done) => ({ key: `${kind} ${at}`, kind, label: 'L', at, done })),
    ),
  );
  const settings = { channel: 'text' as const, address: '', quiet: { from: 1260, to: 420 } };
  expect(
    [
      [true, true],
      [true, false],
      [false, true],
      [false, false],
    ].map(([sessions = false, posture = false]) =>
      remindersOf(moments, { ...settings, sessions, posture }, 0, 1),
    ),
  ).toMatchSnapshot();
  expect(remindersOf(moments, { ...settings, sessions: true, posture: true }, 3, 1)).toEqual([]);
  expect([0, 1, 2, 3, 4].map(retryAfter)).toMatchSnapshot();
});
