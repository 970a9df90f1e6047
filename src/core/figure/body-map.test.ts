import drawn from '@/catalogue/body-map.json';
import { REGIONS } from '../symptoms';
import { bodyMap } from './body-map';

const views = ['front', 'back'] as const;

describe('the body that symptoms are marked on', () => {
  it('is the drawn body of this edition: `npm run body-map` writes it', () => {
    expect(drawn).toEqual(
      JSON.parse(JSON.stringify({ front: bodyMap('front'), back: bodyMap('back') })),
    );
  });

  it('holds every place once, on the side it is named for', () => {
    const ids = views.flatMap((view) => bodyMap(view).regions.map(({ id }) => id));
    expect([...ids].sort()).toEqual([...REGIONS].sort());
    for (const view of views)
      for (const { id, d } of bodyMap(view).regions) {
        const x = Number(/^M(-?[\d.]+)/.exec(d)?.[1]);
        const onRight = x > 0.1;
        const onLeft = x < -0.1;
        // Seen from behind the right side is on the right; from the front it is on the left.
        const expected = (view === 'back') === id.includes(' right ');
        expect([id, expected ? onLeft : onRight]).toEqual([id, false]);
        expect([id, d.length > 20]).toEqual([id, true]);
      }
  });
});
