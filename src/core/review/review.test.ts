import { formatDose, doseOf } from '../dose';
import type { Instant } from '../schedule';
import { localDate } from '../units';
import {
  type LetterFacts,
  MOST_LETTER_ROWS,
  type ReviewMeasure,
  keepGoing,
  outcomeLetter,
  reviewRows,
  sayChange,
} from '.';

const first = localDate('2026-09-17');
const today = localDate('2026-11-26');
const measure = (change: Partial<ReviewMeasure>): ReviewMeasure => ({
  kind: 'neck-turn',
  side: 'left',
  value: 50,
  on: first,
  at: 0 as Instant,
  position: 'sitting',
  instrument: 'inclinometer',
  ...change,
});

describe('what a review measures again', () => {
  it('is in the order of the sheet, as it was measured at first, first beside last', () => {
    const rows = reviewRows(
      [
        measure({ on: today, value: 66 }),
        measure({ side: 'right', value: 60 }),
        measure({}),
        measure({ kind: 'craniovertebral-angle', side: null, value: 44, instrument: 'photo' }),
      ],
      {},
      today,
    );
    expect(rows.map(({ kind, side }) => [kind, side])).toEqual([
      ['craniovertebral-angle', null],
      ['neck-turn', 'left'],
      ['neck-turn', 'right'],
    ]);
    expect(rows[1]).toMatchObject({ doneToday: true, first: { value: 50 }, last: { value: 66 } });
    expect(rows[1]?.change).toMatchObject({ difference: 16, direction: 'better' });
    expect(rows[2]).toMatchObject({ last: null, change: null, doneToday: false });
  });

  it('says when the newest was measured in another way', () => {
    const [row] = reviewRows(
      [measure({}), measure({ on: today, instrument: 'by eye' })],
      {},
      today,
    );
    expect(row?.otherwise).toBe(true);
  });

  it('does not care for the order of the records, and leaves out what has no number', () => {
    const all = [measure({}), measure({ on: today, value: 55 }), measure({ value: null })];
    expect(reviewRows([...all].reverse(), {}, today)).toEqual(reviewRows(all, {}, today));
  });

  it('tells those of one day apart by the moment they were written down', () => {
    const before = measure({ on: today, value: 40, at: 1000 as Instant });
    const after = measure({ on: today, value: 58, at: 2000 as Instant });
    for (const all of [
      [before, after],
      [after, before],
    ]) {
      const [row] = reviewRows(all, {}, today);
      expect([row?.first.value, row?.last?.value, row?.change?.direction]).toEqual([
        40,
        58,
        'better',
      ]);
    }
  });

  it('calls a change real only beyond the error of measuring', () => {
    expect(sayChange(null)).toBe('not measured again');
    const change = { difference: 8, needed: 4, real: true, direction: 'better' } as const;
    expect(sayChange(change)).toBe('better, beyond error');
    expect(sayChange({ ...change, real: false })).toBe('within the error of measuring');
    expect(sayChange({ ...change, real: null })).toContain('nobody has published');
  });
});

it.each([
  ['10x10s 3/day daily until review', '10x10s 1/day every other day'],
  ['2x30s', '2x30s every other day'],
  ['30s tuck 10-20% every 2h daily until review', '30s tuck 10-20% every 2h daily'],
  ['3x10 rest 60s mon wed fri', '3x10 rest 60s mon wed fri'],
])('keeps going with %s as %s (common practice, no source)', (dose, after) => {
  expect(formatDose(keepGoing(doseOf(dose)))).toBe(formatDose(doseOf(after)));
});

describe('the letter', () => {
  const facts: LetterFacts = {
    kind: 'review',
    clinic: { name: 'Harbour', phone: '1' },
    patientName: 'Linnet',
    author: 'Osk',
    date: today,
    complaint: 'Neck',
    from: first,
    forReferrer: false,
    measures: Array.from({ length: 20 }, (_, index) => ({
      name: `m${index}`,
      first: '1',
      last: '2',
      verdict: 'x',
    })),
    goals: [],
    programme: [],
    words: '',
    caution: 'c',
    sessionsDone: 61,
    sessionsDue: 70,
    share: 0.874,
    verdicts: ['Worst pain: no clear change.'],
    limbs: [],
    beside: ['2026-10-01 injection'],
  };

  it('tells the patient in the second person, and the referrer by name', () => {
    expect(outcomeLetter(facts).paragraphs.slice(0, 2)).toEqual([
      'You were with us from 17 Sep 2026 to 26 Nov 2026 for: Neck.',
      'You did 61 of 70 sessions, 87 % of the dose.',
    ]);
    expect(outcomeLetter({ ...facts, forReferrer: true }).paragraphs[0]).toContain('Linnet was');
  });

  it('fits a page, claims no cause, and is silent about what was not due', () => {
    const letter = outcomeLetter({ ...facts, sessionsDue: 0, beside: [] });
    expect(letter.measures).toHaveLength(MOST_LETTER_ROWS);
    expect(letter.paragraphs.join(' ')).not.toMatch(/because|thanks to|due to|sessions/);
  });
});
