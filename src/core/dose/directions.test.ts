import { doseFrom } from '../../../tests/support/dose-lines';
import {
  DIRECTION_NAMES,
  completeDose,
  directionMisfit,
  directionNames,
  directionsOf,
  formatDose,
  parseDose,
  repsOf,
  unwrittenParts,
} from '.';

const FOUR = ['front', 'back', 'left', 'right'] as const;

describe('directions', () => {
  it.each([
    ['3x10s in front/back/left/right', '3x10s in front/back/left/right', 12],
    ['3x10s IN left / right', '3x10s in left/right', 6],
    ['10s in turn-left/turn right', '10s in turn left/turn right', 2],
    ['10s in right/front', '10s in right/front', 2],
    ['10s in back', '10s in back', 1],
    ['3x10s in 6 directions', '3x10s in 6 directions', 18],
  ])('%s is printed %s, %i repetitions', (typed, printed, reps) => {
    const dose = doseFrom(typed);
    expect(formatDose(dose)).toBe(printed);
    expect(formatDose(doseFrom(printed))).toBe(printed);
    expect(repsOf(dose).least).toBe(reps);
  });

  it.each([
    ['10s in left/left', 'named twice'],
    ['10s in left/up', 'Directions'],
    ['10s in sideways', 'directions'],
    ['10s in front/back left', 'no side beside them'],
    ['10s in front/back each side', 'no side beside them'],
  ])('%s is refused: %s', (line, say) => {
    const parsed = parseDose(line);
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.say.toLowerCase()).toContain(say.toLowerCase());
  });

  it('lines of before keep their number beside a side', () => {
    expect(formatDose(doseFrom('2x10 in 4 directions each side'))).toBe(
      '2x10 in 4 directions each side',
    );
  });

  it('are named by the exercise, in its order, where they are only counted', () => {
    expect(directionNames(doseFrom('10s in 4 directions'), FOUR)).toEqual(FOUR);
    expect(directionNames(doseFrom('10s in 2 directions'), FOUR)).toEqual(['front', 'back']);
    expect(directionNames(doseFrom('10s in right/front'), FOUR)).toEqual(['right', 'front']);
    expect(directionNames(doseFrom('10s in 6 directions'), FOUR)).toEqual([]);
    expect(directionNames(doseFrom('10s in 4 directions'), [])).toEqual([]);
    expect(directionNames(doseFrom('10s'), FOUR)).toEqual([]);
    expect(
      ['10s', '10s in 4 directions', '10s in back'].map((line) => directionsOf(doseFrom(line))),
    ).toEqual([1, 4, 1]);
  });

  it('that an exercise has not are said', () => {
    expect(directionMisfit(doseFrom('10s in 6 directions'), FOUR)).toContain('has 4 directions');
    expect(directionMisfit(doseFrom('10s in turn left'), FOUR)).toContain(
      'does not go “turn left”',
    );
    expect(directionMisfit(doseFrom('10s in left'), [])).toContain('names no directions');
    expect(directionMisfit(doseFrom('10s in 4 directions each side'), FOUR)).toContain(
      'leave the side out',
    );
    expect(directionMisfit(doseFrom('10s in 4 directions each side'), [])).toBeNull();
    for (const line of ['10s', '10s in 4 directions', '10s in 2 directions', '10s in left/back'])
      expect(directionMisfit(doseFrom(line), FOUR)).toBeNull();
    expect(directionMisfit(doseFrom('10s in 8 directions'), [])).toBeNull();
    expect(directionMisfit(doseFrom('10s in 6 directions'), DIRECTION_NAMES)).toBeNull();
  });

  it('ask for no side, and completing adds none: eleven minutes stay eleven', () => {
    const needs = { sided: true, effort: false };
    const dose = doseFrom('2x10 in 4 directions');
    const keys = unwrittenParts(dose, needs).missing.map(({ key }) => key);
    expect(keys).not.toContain('missing.side');
    const whole = completeDose(dose, doseFrom('2x10 each side'), needs).dose;
    expect(whole.side).toBeUndefined();
    expect(repsOf(whole)).toEqual(repsOf(dose));
    expect(unwrittenParts(doseFrom('2x10'), needs).missing.map(({ key }) => key)).toContain(
      'missing.side',
    );
  });
});
