import { arcCosine, arcSine } from './arc';

describe('the angle of a cosine or sine', () => {
  it.each([
    [1, 0],
    [0.5, Math.PI / 3],
    [0, Math.PI / 2],
    [-1, Math.PI],
  ])('of the cosine %d is %d', (cosine, angle) => expect(arcCosine(cosine)).toBeCloseTo(angle, 12));

  it.each([
    [1, Math.PI / 2],
    [0.5, Math.PI / 6],
    [0, 0],
    [-1, -Math.PI / 2],
  ])('of the sine %d is %d', (sine, angle) => expect(arcSine(sine)).toBeCloseTo(angle, 12));

  it('has a value where rounding went past the end, and the end’s own', () => {
    expect([arcCosine(1.0000001), arcCosine(-1.0000001)]).toEqual([0, Math.PI]);
    expect([arcSine(1.0000001), arcSine(-1.0000001)]).toEqual([Math.PI / 2, -Math.PI / 2]);
  });
});
