import { EXERCISES } from '@/catalogue';
import { type ExerciseFilter, isAmong } from '.';

const ids = (filter: ExerciseFilter) =>
  EXERCISES.filter((one) => isAmong(one, filter)).map(({ id }) => id);

describe('narrowing a list of exercises', () => {
  it('leaves all of them where nothing is asked', () => {
    expect(ids({})).toHaveLength(EXERCISES.length);
  });
  it('takes the thing itself and what stands in for it', () => {
    expect(ids({ prop: 'neck wedge' })).toEqual(['wedge-lying', 'wedge-press', 'wedge-look-over']);
    expect(ids({ prop: 'towel' })).toContain('nod-on-ball');
  });
  it('asks for everything at once', () => {
    expect(ids({ family: 'Stretch', region: 'leg', position: 'lying' })).toEqual([
      'hamstring-stretch',
    ]);
    expect(ids({ school: 'angles' })).toEqual(['knee-angle-hold']);
    expect(ids({ purpose: 'glide', region: 'leg' })).toEqual([
      'sciatic-slider',
      'sciatic-tensioner',
      'femoral-slider',
      'femoral-tensioner',
    ]);
    expect(ids({ position: 'kneeling', purpose: 'glide' })).toEqual([]);
  });
});
