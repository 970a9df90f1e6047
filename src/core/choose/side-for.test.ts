import { sides } from '@/catalogue/exercises/entry';
import { doseFrom } from '../../../tests/support/dose-lines';
import { NO_WAYS, SIDES_NAME, formatDose } from '../dose';
import { ABOUT_NOTHING, type FindingAbout } from '../findings';
import { onSide, sideFor } from './side-for';

const of = (about: Partial<FindingAbout>) =>
  Object.fromEntries(
    SIDES_NAME.map((name) => [
      name,
      sideFor(
        { ...ABOUT_NOTHING, ...about },
        { directions: [], sides: sides(name, (side) => side) },
      ),
    ]),
  );

describe('the side to write for a finding', () => {
  it('less bending to the right asks to lengthen the left', () => {
    const about = { rule: 'side-difference', measure: 'neck-side-bend', side: 'right' } as const;
    expect(of(about)).toEqual({ lengthened: 'left', works: null, limb: null, turned: null });
    expect(of({ ...about, side: 'left' }).lengthened).toBe('right');
    expect(of({ ...about, measure: 'back-side-bend', rule: 'range-below-norm' }).lengthened).toBe(
      'left',
    );
  });
  it('less turning to the right asks for turning to the right', () => {
    for (const measure of ['neck-turn', 'upper-neck-turn'] as const)
      expect(of({ rule: 'side-difference', measure, side: 'right' })).toEqual({
        lengthened: null,
        works: null,
        limb: null,
        turned: 'right',
      });
  });
  it('a weak push to the right asks for the right', () => {
    expect(of({ rule: 'weak-side', measure: 'strength-side', side: 'right' })).toEqual({
      lengthened: null,
      works: 'right',
      limb: 'right',
      turned: null,
    });
  });
  it('a weak push of named directions goes to the weak side, and its dose names it', () => {
    const ways = { sides: null, directions: ['front', 'back', 'left', 'right'] } as const;
    const weak = { ...ABOUT_NOTHING, rule: 'weak-side', side: 'left' } as const;
    expect(sideFor(weak, ways)).toBe('left');
    expect(sideFor({ ...weak, rule: 'side-difference' }, ways)).toBeNull();
    const dose = doseFrom('3x10s in 4 directions');
    expect(formatDose(onSide(dose, 'left', ways))).toBe('3x10s in left');
    expect(onSide(dose, null, ways)).toBe(dose);
    const works = { ...NO_WAYS, sides: sides('works', (side) => side) };
    expect(formatDose(onSide(doseFrom('30s each side'), 'left', works))).toBe('30s left');
    expect(formatDose(onSide(doseFrom('x10'), 'left', NO_WAYS))).toBe('x10');
  });
  it('a short muscle asks to lengthen its own side, a tense nerve for its limb', () => {
    expect(of({ rule: 'short-or-stiff', measure: 'chest-muscle', side: 'left' })).toEqual({
      lengthened: 'left',
      works: null,
      limb: 'left',
      turned: null,
    });
    expect(of({ rule: 'nerve-tension', part: 'median', side: 'left' })).toEqual({
      lengthened: null,
      works: null,
      limb: 'left',
      turned: null,
    });
  });
  it('says nothing where the finding has no side, or is of another kind', () => {
    expect(Object.values(of({ rule: 'side-difference', measure: 'neck-turn' }))).toEqual([
      null,
      null,
      null,
      null,
    ]);
    expect(of({ rule: 'pain-at-end', measure: 'neck-turn', side: 'left' }).turned).toBeNull();
    expect(sideFor({ ...ABOUT_NOTHING, rule: 'weak-side', side: 'left' }, NO_WAYS)).toBeNull();
  });
});
