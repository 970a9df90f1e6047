import { EXERCISES } from '@/catalogue';
import { parseDose } from '../dose';
import { withFamilies } from '../choose';
import { ABOUT_NOTHING } from '../findings';
import type { SetUp } from '../records';
import { localDate } from '../units';
import { SCREENED, standsFor } from '../screen';
import {
  type CheckFacts,
  completeness,
  isFine,
  plannedLine,
  programmeChecks,
  safetyStops,
} from '.';

const FIRST = localDate('2026-11-23');

function facts(text: string, more: Partial<CheckFacts> = {}): CheckFacts {
  const exercise = EXERCISES.find(({ id }) => id === 'tuck-lying');
  const dose = parseDose(text);
  if (!exercise || !dose.ok) throw new Error(text);
  return {
    lines: [
      {
        id: 'a',
        name: exercise.name,
        planned: plannedLine('a', exercise, dose.value, FIRST),
        missing: [],
        assumed: [],
        offers: [],
        flags: [],
        openFlags: [],
      },
    ],
    blocked: false,
    screened: 'current',
    reviewOn: null,
    precautions: [],
    findings: [],
    props: null,
    day: null,
    minutesADay: null,
    unplaced: [],
    ...more,
  };
}
const says = (given: CheckFacts, area: string) =>
  programmeChecks(given)
    .filter((check) => check.area === area)
    .map(({ weight, say }) => `${weight}: ${say}`);

describe('a programme is called safe', () => {
  it('only where a screening stands, said first', () => {
    const first = SCREENED.map((screened) => {
      const given = facts('10x10s', { screened });
      return [screened, isFine(programmeChecks(given), 'safe'), says(given, 'safe')[0] ?? ''];
    });
    expect(first).toEqual([
      ['current', true, ''],
      ['on paper', true, expect.stringContaining('note: Screened on paper')],
      ['none', false, expect.stringContaining('stops: Not screened yet')],
      ['new episode', false, expect.stringContaining('stops: The screening is of an earlier')],
      ['waiting', false, expect.stringContaining('stops: Answers wait for a practitioner')],
      ['unfinished', false, expect.stringContaining('an unanswered question is not a no')],
      ['danger since', false, expect.stringContaining('stops: A sign to stop or an injury')],
      ['old', false, expect.stringContaining('stops: The screening is older than')],
    ]);
  });

  it('never where the screening blocks, whatever else is said', () => {
    for (const screened of SCREENED)
      expect(says(facts('10x10s', { screened, blocked: true }), 'safe')[0]).toContain('stops: ');
  });

  it('whatever the trade advises: that stands under its own heading', () => {
    const given = facts('10x10s');
    expect(says(given, 'trade').join()).toContain('look: ');
    expect(says(given, 'safe')).toEqual([]);
  });
});

it('covers nothing while no finding is confirmed', () => {
  const given = facts('10x10s');
  expect(isFine(programmeChecks(given), 'covers')).toBe(false);
  expect(says(given, 'covers')).toEqual([
    'look: No finding is confirmed yet, so nothing says what this is for.',
  ]);
  const answered = facts('10x10s', {
    findings: [
      { key: 'deep-flexors', about: { ...ABOUT_NOTHING, rule: 'deep-flexors' }, say: 'x' },
    ].map(withFamilies),
  });
  expect(isFine(programmeChecks(answered), 'covers')).toBe(true);
});

it('is not complete until a review that has no day', () => {
  expect(says(facts('10x10s until review'), 'complete')).toEqual([
    'look: Tuck lying down: until review, and no day is set for the review.',
  ]);
  const set = facts('10x10s until review', { reviewOn: FIRST });
  expect(isFine(programmeChecks(set), 'complete')).toBe(true);
  expect(says(facts('10x10s until 14 days'), 'complete')).toEqual([]);
});

it('says what of a set-up was measured and is not sent home, and what was measured anew', () => {
  const pad = (cm: number): SetUp => ({
    fact: { kind: 'pad', cm },
    from: { kind: 'measurement', id: 'gap', on: FIRST },
  });
  const offered = (text: string, replaces: SetUp | null, missing: readonly string[] = []) => {
    const given = facts(text);
    return says(
      {
        ...given,
        lines: given.lines.map((line) => ({
          ...line,
          missing,
          offers: [{ setUp: pad(3.5), replaces }],
        })),
      },
      'complete',
    );
  };
  expect(offered('10x10s', null)).toEqual([
    'note: Tuck lying down, measured and not sent home: pad 3.5 cm',
  ]);
  const anew = 'look: Tuck lying down, measured anew: pad 3.5 cm, the line says pad 4.5 cm';
  expect(offered('10x10s', pad(4.5))).toEqual([anew]);
  // Whatever else is missing does not hide it.
  expect(offered('10x10s', pad(4.5), ['the side'])).toEqual([
    'look: Tuck lying down: the side',
    anew,
  ]);
  expect(offered('10x10s until review', pad(4.5))).toContain(anew);
});

it('says beside the button what the checks say of safety and completeness', () => {
  for (const screened of SCREENED)
    for (const blocked of [false, true]) {
      const given = { ...facts('10x10s until review'), screened, blocked };
      const of = (area: string, weight: string) =>
        programmeChecks(given).filter((check) => check.area === area && check.weight === weight);
      expect(safetyStops(given)).toEqual(of('safe', 'stops'));
      expect(safetyStops(given).length > 0).toBe(blocked || !standsFor(screened));
      expect(completeness(given).filter(({ weight }) => weight === 'look')).toEqual(
        of('complete', 'look'),
      );
    }
});
