import type { Zone } from '../schedule';
import { localDate } from '../units';
import { MOST_OPEN_TIMES, answeringAt, openSpans, readOpenTimes, sayOpenTimes } from '.';

const said = (text: string) => {
  const read = readOpenTimes(text);
  return read.ok ? sayOpenTimes(read.times) : read.say;
};

describe('the times of a day as people write them', () => {
  it.each([
    ['', ''],
    ['08:00–12:00', '08:00–12:00'],
    ['8-12, 13.30 - 18', '08:00–12:00, 13:30–18:00'],
    ['9 to 17', '09:00–17:00'],
    ['0-23:59', '00:00–23:59'],
    ['8-12 and 12-18', '08:00–12:00, 12:00–18:00'],
    ['8-9; 10-11; 12-13', '08:00–09:00, 10:00–11:00, 12:00–13:00'],
  ])('%j is %j', (text, expected) => expect(said(text)).toBe(expected));

  it.each([
    ['mornings', 'is no time. Write it as'],
    ['8-24', 'is no time of a day'],
    ['8-9:60', 'is no time of a day'],
    ['12-8', 'ends before it begins'],
    ['8-8', 'ends before it begins'],
    ['8-12, 11-18', 'begins before the one before it ends'],
    ['8-9, 10-11, 12-13, 14-15', `At most ${MOST_OPEN_TIMES}`],
  ])('%j is refused with a sentence', (text, expected) => {
    expect(readOpenTimes(text).ok).toBe(false);
    expect(said(text)).toContain(expected);
  });

  it('are read back as they are said', () => {
    const read = readOpenTimes('7:05-11, 14-19:55');
    expect(read.ok && readOpenTimes(sayOpenTimes(read.times))).toEqual(read);
  });
});

describe('whether the clinic answers', () => {
  const hours = { mon: [{ from: 480, to: 720 }], wed: [{ from: 600, to: 660 }] } as never;
  // 2026-11-29 is a Sunday; Lisbon stands at UTC in winter.
  const spans = openSpans(hours, 'Europe/Lisbon' as Zone, localDate('2026-11-29'), 8);
  const at = (text: string) => Date.parse(text);

  it('knows the spans of the week by the clinic’s own clock', () => {
    expect(
      spans.map(({ from, to }) => [from, to].map((one) => new Date(one).toISOString())),
    ).toEqual([
      ['2026-11-30T08:00:00.000Z', '2026-11-30T12:00:00.000Z'],
      ['2026-12-02T10:00:00.000Z', '2026-12-02T11:00:00.000Z'],
    ]);
    const auckland = openSpans(hours, 'Pacific/Auckland' as Zone, localDate('2026-11-30'), 1);
    expect(auckland).toEqual([{ from: at('2026-11-29T19:00Z'), to: at('2026-11-29T23:00Z') }]);
  });

  it.each([
    ['2026-11-29T20:00Z', { kind: 'closed', opens: at('2026-11-30T08:00Z') }],
    ['2026-11-30T08:00Z', { kind: 'open', until: at('2026-11-30T12:00Z') }],
    ['2026-11-30T11:59:59Z', { kind: 'open', until: at('2026-11-30T12:00Z') }],
    ['2026-11-30T12:00Z', { kind: 'closed', opens: at('2026-12-02T10:00Z') }],
    // What is known is over: nothing is said.
    ['2026-12-02T11:00Z', { kind: 'unknown' }],
  ])('at %s', (when, expected) => expect(answeringAt(spans, at(when))).toEqual(expected));

  it('says nothing where no hours are written', () => {
    expect(answeringAt([], 0)).toEqual({ kind: 'unknown' });
    expect(openSpans({}, 'Europe/Lisbon' as Zone, localDate('2026-11-29'), 8)).toEqual([]);
  });
});
