import { WORDED } from '@/catalogue/wording';
import { doseFrom } from '../../../tests/support/dose-lines';
import { GRAMMAR } from '../dose';
import { localDate } from '../units';
import { asMeant } from './old-sides';
import { type StoredVersion, sentVersion, snapshotOf } from './sent';

const stored = (exerciseId: string, dose: string, grammar: number): StoredVersion => {
  const exercise = WORDED.byId(exerciseId);
  if (!exercise) throw new Error(exerciseId);
  return {
    version: {
      number: 1,
      programmeId: 'p',
      effectiveFrom: localDate('2026-11-01'),
      reviewOn: null,
      rounds: 1,
      reason: '',
      authorId: 'm',
      createdAt: 0,
      grammar,
    },
    lines: [
      {
        lineage: 'a',
        anchor: localDate('2026-11-01'),
        exerciseId,
        exercise: snapshotOf(exercise),
        dose,
        school: null,
        session: null,
        overrides: [],
        setUp: [],
      },
    ],
  };
};
const read = (id: string, dose: string, grammar: number) => {
  const [line] = sentVersion(stored(id, dose, grammar)).lines;
  return [line?.dose.side, line?.text];
};

describe('the side of a version', () => {
  it('is read by its grammar number: what it asked to do stays the same movement', () => {
    // In grammar 1 the head was drawn bending to the right, which lengthens the left.
    expect(read('side-neck-stretch', '30s right', 1)).toEqual(['left', '30s left']);
    expect(read('side-neck-stretch', '30s right', GRAMMAR)).toEqual(['right', '30s right']);
    expect(read('side-plank', '30s left daily', 1)).toEqual(['right', '30s right daily']);
    for (const id of ['blade-lifter-stretch', 'cloth-rotation'])
      expect(read(id, 'x5 left', 1)).toEqual(['right', 'x5 right']);
  });
  it('stays where the drawing went the trade’s way, and where both sides are done', () => {
    expect(read('doorway-stretch', '30s right', 1)).toEqual(['right', '30s right']);
    expect(read('side-neck-stretch', '30s each side', 1)).toEqual(['each', '30s each side']);
    expect(read('side-neck-stretch', '30s', 1)).toEqual([undefined, '30s']);
    expect(asMeant(doseFrom('30s right'), 'own', 1).side).toBe('right');
  });
  it('is not mixed up where two grammars wrote the same words', () => {
    for (const time of [1, 2]) {
      expect([time, read('side-neck-stretch', '45s right', 1)[0]]).toEqual([time, 'left']);
      expect(read('side-neck-stretch', '45s right', 2)[0]).toBe('right');
      expect(read('doorway-stretch', '45s right', 1)[0]).toBe('right');
    }
  });
});
