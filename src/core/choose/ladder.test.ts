import { EXERCISES, SHIPPED, catalogueOf } from '@/catalogue';
import { LADDERS } from '@/catalogue/exercises/ladders';
import { type Circumstances, nextRungIn, previousRungIn } from '.';

const exercise = (id: string) => {
  const found = SHIPPED.byId(id);
  if (!found) throw new Error(id);
  return found;
};
const home: Circumstances = { props: null, cannot: [], precautions: [] };

it('climbs to the next step and stops on the last', () => {
  const next = nextRungIn(EXERCISES);
  expect(next(exercise('median-slider'))?.id).toBe('median-tensioner');
  expect(next(exercise('median-tensioner'))).toBeNull();
});

describe('the stairs', () => {
  const next = nextRungIn(EXERCISES);
  const before = previousRungIn(EXERCISES);

  // Each of these was proposed as a step once.
  it.each([
    ['cloth-rotation', 'head-rolls'],
    ['doorway-stretch', 'hip-front-stretch'],
    ['posture-reset', 'easy-walk'],
    ['curl-up', 'bridge'],
    ['wall-press', 'side-band-hold'],
  ])('%s is no step to %s', (from, to) => {
    expect(next(exercise(from))?.id).not.toBe(to);
    expect(before(exercise(to))?.id).not.toBe(from);
  });

  it('each rung names its next and its previous, easiest first, within one family', () => {
    for (const [ladder, ids] of Object.entries(LADDERS)) {
      const steps = ids.map(exercise);
      expect([ladder, new Set(steps.map(({ family }) => family)).size]).toEqual([ladder, 1]);
      steps.forEach((step, at) => {
        expect(step.ladder).toBe(ladder);
        expect([step.id, next(step)?.id]).toEqual([step.id, ids[at + 1]]);
        expect([step.id, before(step)?.id]).toEqual([step.id, ids[at - 1]]);
      });
    }
    for (const one of EXERCISES.filter(({ ladder }) => ladder === null))
      expect([one.id, next(one), before(one)]).toEqual([one.id, null, null]);
    const all = Object.values(LADDERS).flat();
    expect(new Set(all).size).toBe(all.length);
  });

  it('steps over what is closed to this patient', () => {
    const open = nextRungIn(EXERCISES, { ...home, precautions: ['lumbar narrowing'] });
    expect(open(exercise('forearm-prop'))).toBeNull();
    expect(next(exercise('forearm-prop'))?.id).toBe('press-up');
  });

  it('takes a clinic’s own by family, purpose and step, or leaves it beside', () => {
    const own = { ...exercise('tuck-lighten'), id: 'own', rung: 4.5 as number, ladder: null };
    const all = catalogueOf([own]);
    const front = all.byId('own');
    if (!front) throw new Error('lost');
    expect(nextRungIn(all.all)(front)?.id).toBe('tuck-lift');
    expect(previousRungIn(all.all)(front)?.id).toBe('tuck-lighten');
    const beside = catalogueOf([{ ...own, purpose: 'relax' }]).byId('own');
    expect(beside && nextRungIn(all.all)(beside)).toBeNull();
  });
});
