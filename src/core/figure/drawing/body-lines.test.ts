import { BASE_POSES, type Pose, skeletonOf } from '../body';
import { bodyLines } from './body-lines';
import { cameraFor } from './view';

const { standing } = BASE_POSES;
const lines = (pose: Pose, view: 'front' | 'back' | 'side') =>
  bodyLines(skeletonOf(pose), pose, cameraFor(view));
/** How many lines are drawn: each begins with one move of the pen. */
const count = (d: string) => (d.match(/M/g) ?? []).length;

it('shows collar bones from the front and shoulder blades from behind, neither from the side', () => {
  expect(count(lines(standing, 'front').trunk)).toBe(2);
  expect(count(lines(standing, 'back').trunk)).toBe(2);
  expect(count(lines(standing, 'side').trunk)).toBe(0);
  expect(lines(standing, 'front').trunk).not.toBe(lines(standing, 'back').trunk);
});

it('takes the shoulder blades along', () => {
  const blades = { up: 4, back: 0 };
  const lifted: Pose = { ...standing, blades: { right: blades, left: blades } };
  const top = (d: string) => Number(/^M-?[\d.]+[ ]?(-?[\d.]+)/.exec(d)?.[1]);
  expect(top(lines(standing, 'back').trunk) - top(lines(lifted, 'back').trunk)).toBeCloseTo(3.2, 0);
});

it('shows knees to whom they look', () => {
  expect(count(lines(standing, 'front').knees.right)).toBe(1);
  expect(count(lines(standing, 'front').knees.left)).toBe(1);
  expect(lines(standing, 'back').knees).toEqual({ right: '', left: '' });
});

it('folds the cloth only where the low back bends', () => {
  const bent = (flex: number): Pose => ({ ...standing, lumbar: { ...standing.lumbar, flex } });
  expect(count(lines(bent(10), 'side').trunk)).toBe(0);
  expect(count(lines(bent(30), 'side').trunk)).toBe(2);
});
