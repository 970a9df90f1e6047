import type { Phrase } from '../dose';
import type { Pose } from './body';
import type { Figure } from './figure';
import { type Reading, readPose } from './reading';

/** Less than this is not seen in a drawing, in cm and degrees. */
const SEEN_CM = 0.8;
const SEEN_DEG = 5;
const SEEN_HIPS_CM = 3;
const SEEN_BEND_DEG = 12;

/** What is read off two poses, most telling first, and how much of it is seen. */
const TOLD: readonly (readonly [of: keyof Reading, least: number])[] = [
  ['headForwardCm', SEEN_CM],
  ['gazeUpDeg', SEEN_DEG],
  ['headTurnRightDeg', SEEN_DEG],
  ['headSideRightDeg', SEEN_DEG],
  ['trunkForwardDeg', SEEN_DEG],
  ['trunkTurnRightDeg', SEEN_DEG],
  ['hipHeightCm', SEEN_HIPS_CM],
  ['shouldersUpCm', SEEN_CM],
  ['bladesBackCm', SEEN_CM],
  ['rightKneeDeg', SEEN_BEND_DEG],
  ['leftKneeDeg', SEEN_BEND_DEG],
  ['rightElbowDeg', SEEN_BEND_DEG],
  ['leftElbowDeg', SEEN_BEND_DEG],
];

const MOST_TOLD = 4;

/** What changes from one pose to the next, the most telling first: cm to the half, degrees whole. */
export function readChange(from: Pose, to: Pose): Phrase[] {
  const [a, b] = [readPose(from), readPose(to)];
  return TOLD.flatMap(([of, least]) => {
    const by = b[of] - a[of];
    if (Math.abs(by) < least) return [];
    const n = of.endsWith('Deg') ? Math.round(Math.abs(by)) : Math.round(Math.abs(by) * 2) / 2;
    return [{ key: `change.${of}.${by > 0 ? 'more' : 'less'}`, values: { n } }];
  }).slice(0, MOST_TOLD);
}

/**
 * A figure as phrases, for those who do not see it: where it is seen from, each pose by its name (the
 * catalogue's text), and what moves on the way, measured on the drawing.
 */
export function readFigure(figure: Figure): Phrase[] {
  const steps = figure.poses.map((pose, i): Phrase => {
    const name = figure.names[i] ?? { key: 'position', values: { nth: i + 1 } };
    const before = figure.poses[i - 1];
    if (!before) return { key: 'first', values: { name } };
    const change = readChange(before, pose);
    return change.length === 0
      ? { key: 'then', values: { name } }
      : { key: 'thenBy', values: { name, change } };
  });
  return [{ key: `seen.${figure.view}`, values: {} }, ...steps];
}
