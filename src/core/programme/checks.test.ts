import { EXERCISES } from '@/catalogue';
import { parseDose } from '../dose';
import { ABOUT_NOTHING } from '../findings';
import { localDate } from '../units';
import { SCREENED } from '../screen';
import { type CheckFacts, isFine, plannedLine, programmeChecks } from '.';

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
    ],
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
