import { ladderOf, nextRungIn, previousRungIn } from '@/core/choose';
import { propStates } from '@/core/exercise';
import { EXERCISES } from '.';
import { RUNGS } from './rungs';

const onLadders = EXERCISES.filter(({ ladder }) => ladder !== null);

describe('every ladder, walked up and down', () => {
  it('has an entry test, a closing sign and one way of being harder for each step, and no others', () => {
    expect(Object.keys(RUNGS).sort()).toEqual(onLadders.map(({ id }) => id).sort());
    for (const one of onLadders) {
      const rung = RUNGS[one.id];
      expect(rung?.opens).toMatch(/^[A-Z].*\.$/);
      expect(rung?.closes).toMatch(/^[A-Z].*\.$/);
      const isFirst = previousRungIn(EXERCISES)(one) === null;
      expect([one.id, rung?.harder === null]).toEqual([one.id, isFirst]);
    }
  });

  it('keeps the region all the way', () => {
    for (const one of onLadders) {
      const regions = new Set(ladderOf(EXERCISES, one).map(({ region }) => region));
      expect([one.ladder, regions.size]).toEqual([one.ladder, 1]);
    }
  });

  it('goes round what this patient cannot do, up and down, never to what is closed', () => {
    const homes = [
      { props: [], cannot: [], precautions: [] },
      { props: null, cannot: ['hands and knees'] as const, precautions: ['osteoporosis'] as const },
      { props: null, cannot: ['lying', 'face down'] as const, precautions: ['jaw'] as const },
    ];
    for (const home of homes)
      for (const one of onLadders) {
        for (const step of [
          nextRungIn(EXERCISES, home)(one),
          previousRungIn(EXERCISES, home)(one),
        ].filter((found) => found !== null)) {
          expect(home.cannot as readonly string[]).not.toContain(step.position);
          expect(propStates(step, home.props).map(({ kind }) => kind)).not.toContain('missing');
        }
      }
  });
});
