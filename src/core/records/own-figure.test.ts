import { BASE_POSES, type Figure, type Pose } from '../figure';
import { figureFault } from './own-figure';

const standing = BASE_POSES.standing;
const looking = (flex: number): Pose => ({
  ...standing,
  head: { ...standing.head, flex },
});
const figure = (poses: Pose[], fault?: Pose): Figure =>
  ({
    view: 'side',
    poses,
    names: ['Start', 'There'],
    path: 'back',
    ...(fault ? { fault: { pose: fault, say: '' } } : {}),
  }) as unknown as Figure;

it('a figure that a body can make has no fault', () => {
  expect(figureFault(figure([standing, looking(5)]))).toBeNull();
});

it('a joint that goes too far is named with its pose, its part and the angle', () => {
  expect(figureFault(figure([standing, looking(-120)]))).toBe(
    'pose 2 (There): no joint goes so far (head: flex -120°).',
  );
  expect(figureFault(figure([standing, looking(5)], looking(-120)))).toBe(
    'the fault: no joint goes so far (head: flex -120°).',
  );
});
