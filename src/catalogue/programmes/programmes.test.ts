import { SCHOOLS, beyondBounds } from '@/core/school';
import { EXERCISES, SHIPPED } from '..';
import { formatDose, parseDose, unwrittenParts } from '@/core/dose';
import { DISAGREEMENTS } from '@/core/progression';
import { comparedReady, findReady, fittedLines, readyTotals, timesInWords } from '@/core/ready';
import { PRECAUTIONS, type PrecautionId } from '@/core/screen';
import { formatRange, localDate } from '@/core/units';
import { READY_PROGRAMMES } from '.';

const FROM = localDate('2026-03-02');
const byId = (id: string) => {
  const found = READY_PROGRAMMES.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe('the programmes ready to hand (methods: common practice, no source)', () => {
  it('are about two dozen, each with its own id and name', () => {
    expect(READY_PROGRAMMES.length).toBeGreaterThanOrEqual(24);
    expect(new Set(READY_PROGRAMMES.map(({ id }) => id)).size).toBe(READY_PROGRAMMES.length);
    expect(new Set(READY_PROGRAMMES.map(({ name }) => name)).size).toBe(READY_PROGRAMMES.length);
  });

  it.each(READY_PROGRAMMES.map((one) => [one.name, one] as const))('%s is whole', (_, one) => {
    for (const text of [one.about, one.forWhom, one.notFor, ...one.cautions])
      expect(text).toMatch(/^[A-Z0-9].*\.$/);
    expect(one.cautions.length).toBeGreaterThan(0);
    if (one.disagreement !== null)
      expect(DISAGREEMENTS.map(({ about }) => about)).toContain(one.disagreement);
    expect(new Set(one.lines.map(({ exerciseId }) => exerciseId)).size).toBe(one.lines.length);
    for (const { exerciseId, dose: text, school } of one.lines) {
      const exercise = SHIPPED.byId(exerciseId);
      expect([exerciseId, exercise !== null]).toEqual([exerciseId, true]);
      const dose = parseDose(text);
      expect([exerciseId, dose.ok && formatDose(dose.value)]).toEqual([exerciseId, text]);
      if (!exercise || !dose.ok) continue;
      const { missing } = unwrittenParts(dose.value, exercise.needs);
      expect([exerciseId, missing.map(({ key }) => key)]).toEqual([exerciseId, ['missing.until']]);
      if (school === null) continue;
      expect([exerciseId, SCHOOLS[school].reads(dose.value)]).toEqual([exerciseId, true]);
      expect([exerciseId, beyondBounds(SCHOOLS[school], dose.value)]).toEqual([exerciseId, null]);
    }
  });

  it('take this long, hold this much and ask this a week', () => {
    const rows = READY_PROGRAMMES.map((one) => {
      const totals = readyTotals(one, SHIPPED.byId, FROM);
      return totals
        ? `${one.name} | ${formatRange(totals.session)} | ${timesInWords(totals)}, ${formatRange(totals.day)} | ${totals.heldADay} s held | ${formatRange(totals.week)} a week`
        : `${one.name}: nothing is due`;
    });
    expect(rows).toMatchSnapshot();
  });

  it('hold what was reckoned by hand', () => {
    const held = (id: string) => readyTotals(byId(id), SHIPPED.byId, FROM)?.heldADay;
    // One minute three times a day; three of ten seconds in six ways; both of ten times ten.
    expect(held('bench-edge')).toBe(180);
    expect(held('six-ways')).toBe(180);
    expect(held('ten-by-ten')).toBe(200);
    // Three of thirty: face down, at the wall, each side, on hands and knees.
    expect(held('four-long-holds')).toBe(90 + 90 + 180 + 90);
  });

  it('tell sessions and moments of the day apart', () => {
    const often = (id: string) => {
      const totals = readyTotals(byId(id), SHIPPED.byId, FROM);
      return totals && timesInWords(totals);
    };
    expect(often('ten-by-ten')).toBe('one session a day');
    expect(often('first-week')).toMatch(/^(one session|\d sessions) and \d moments a day$/);
  });

  it('say the true time of the routine that is described as under four minutes', () => {
    // practice.md: twice over, twice a day, about 15 minutes with rests and changes.
    const totals = readyTotals(byId('two-rounds'), SHIPPED.byId, FROM);
    expect(totals && timesInWords(totals)).toBe('2 sessions a day');
    const times = (sessionsADay: number, momentsADay: number) =>
      totals && timesInWords({ ...totals, sessionsADay, momentsADay });
    expect([times(1, 0), times(0, 1), times(1, 1), times(2, 8)]).toEqual([
      'one session a day',
      'one moment a day',
      'one session and one moment a day',
      '2 sessions and 8 moments a day',
    ]);
    expect(totals?.day.least).toBeGreaterThan(10 * 60);
    expect(totals?.day.most).toBeLessThan(17 * 60);
  });
});

describe('a programme beside a patient', () => {
  const fit = (id: string, change: Partial<Parameters<typeof fittedLines>[2]>) =>
    fittedLines(byId(id), EXERCISES, { props: null, cannot: [], precautions: [], ...change }).map(
      ({ line, closed, instead }) => [
        line.exerciseId,
        closed.join('; '),
        instead?.exercise.id ?? null,
      ],
    );

  it('fits where nothing speaks against it', () => {
    for (const { id } of READY_PROGRAMMES)
      expect([id, fit(id, {}).filter(([, closed]) => closed !== '')]).toEqual([id, []]);
  });

  it('offers what keeps the purpose and is open', () => {
    expect(fit('resisted-tucks', { precautions: ['jaw'] })).toContainEqual([
      'under-jaw-tuck',
      'flagged: resistance under the jaw',
      'band-lengthening',
    ]);
    expect(fit('ball-under-head', { props: [] })[0]).toEqual(['nod-on-ball', '', null]);
    expect(fit('trunk-descending', { cannot: ['hands and knees'] })).toContainEqual([
      'leg-reach',
      'cannot take the position: hands and knees',
      'bridge',
    ]);
  });

  it('flags what the dose adds: a long effortful hold with high pressure', () => {
    const rows = fit('wall-ball-lighten', { precautions: ['pressure or heart'] });
    expect(rows.map(([id, closed]) => [id, closed !== ''])).toEqual([
      ['nod-on-ball', false],
      ['tuck-lighten', false],
      ['wall-press', false],
    ]);
    const relief = fit('pain-relief-hold', { precautions: ['pressure or heart'] });
    expect(relief[0]?.[1]).toMatch(/holds over 30 s/);
  });

  it('never offers what is closed too, nor the same thing twice, whoever it is', () => {
    for (const id of Object.keys(PRECAUTIONS) as PrecautionId[])
      for (const programme of READY_PROGRAMMES) {
        const circumstances = { props: [], cannot: [], precautions: [id] };
        const lines = fittedLines(programme, EXERCISES, circumstances);
        const there = lines.map(({ exercise, instead }) => instead?.exercise.id ?? exercise.id);
        expect([programme.id, id, new Set(there).size]).toEqual([programme.id, id, there.length]);
        for (const { instead } of lines.filter((line) => line.instead))
          expect(
            fittedLines(
              {
                ...programme,
                lines: [
                  {
                    exerciseId: instead?.exercise.id ?? '',
                    dose: instead?.dose ?? '',
                    school: null,
                  },
                ],
              },
              EXERCISES,
              circumstances,
            )[0]?.closed,
          ).toEqual([]);
      }
  });
});

it('stands beside another, measure by measure', () => {
  const rows = comparedReady(byId('six-ways'), byId('volume-then-load'), SHIPPED.byId, FROM);
  const of = (what: string) => {
    const found = rows.find((row) => row.what === what);
    return [found?.one, found?.other];
  };
  expect(of('Exercises')).toEqual(['1', '4']);
  expect(of('Held a day')).toEqual(['3 min', '0 s']);
  expect(of('With a load or band')).toEqual(['0', '1']);
  expect(of('Covers')).toEqual(['neck', 'all, shoulder, leg']);
  expect(of('Needs')).toEqual(['none', 'flat band, band anchor, chair']);
  const same = comparedReady(byId('wedge'), byId('wedge'), SHIPPED.byId, FROM);
  expect(same.every(({ one, other }) => one === other)).toBe(true);
});

describe('typing one', () => {
  it.each([
    ['ten by', 'ten-by-ten'],
    ['10x10', 'ten-by-ten'],
    ['long hol', 'four-long-holds'],
    ['low back', 'back-bending-back'],
    ['core', 'trunk-descending'],
    ['Désk', 'desk-day'],
    ['wedge', 'wedge'],
    ['six', 'six-ways'],
  ])('%s finds %s', (typed, id) => {
    expect(findReady(READY_PROGRAMMES, typed)[0]?.id).toBe(id);
  });
  it.each(['', ' ', 'zzz', 'ten zzz'])('“%s” finds nothing', (typed) => {
    expect(findReady(READY_PROGRAMMES, typed)).toEqual([]);
  });
});
