import type { Pose } from './body';
import { type Reading, readPose } from './reading';
import type { Figure, View } from './figure';

const SEEN: Readonly<Record<View, string>> = {
  side: 'Seen from the side.',
  front: 'Seen from the front.',
  quarter: 'Seen half from the front.',
  back: 'Seen from behind.',
  above: 'Seen from above.',
};

/** Less than this is not seen in a drawing, in cm and degrees. */
const SEEN_CM = 0.8;
const SEEN_DEG = 5;

type Saying = readonly [
  of: keyof Reading,
  least: number,
  more: (by: number) => string,
  less: (by: number) => string,
];

/** What each change looks like, most telling first. */
const SAYINGS: readonly Saying[] = [
  ['headForwardCm', SEEN_CM, (cm) => `head ${cm} cm forward`, (cm) => `head ${cm} cm back`],
  ['gazeUpDeg', SEEN_DEG, (d) => `chin up ${d}°`, (d) => `chin down ${d}°`],
  ['headTurnRightDeg', SEEN_DEG, (d) => `head turned right ${d}°`, (d) => `head turned left ${d}°`],
  ['headSideRightDeg', SEEN_DEG, (d) => `head bent right ${d}°`, (d) => `head bent left ${d}°`],
  [
    'trunkForwardDeg',
    SEEN_DEG,
    (d) => `trunk bent forward ${d}°`,
    (d) => `trunk lifted or bent back ${d}°`,
  ],
  [
    'trunkTurnRightDeg',
    SEEN_DEG,
    (d) => `chest turned right ${d}°`,
    (d) => `chest turned left ${d}°`,
  ],
  ['hipHeightCm', 3, (cm) => `hips ${cm} cm higher`, (cm) => `hips ${cm} cm lower`],
  ['shouldersUpCm', SEEN_CM, (cm) => `shoulders ${cm} cm up`, (cm) => `shoulders ${cm} cm down`],
  [
    'bladesBackCm',
    SEEN_CM,
    (cm) => `shoulder blades ${cm} cm back`,
    (cm) => `shoulder blades ${cm} cm apart`,
  ],
  ['rightKneeDeg', 12, (d) => `right knee bends ${d}°`, (d) => `right knee straightens ${d}°`],
  ['leftKneeDeg', 12, (d) => `left knee bends ${d}°`, (d) => `left knee straightens ${d}°`],
  ['rightElbowDeg', 12, (d) => `right elbow bends ${d}°`, (d) => `right elbow straightens ${d}°`],
  ['leftElbowDeg', 12, (d) => `left elbow bends ${d}°`, (d) => `left elbow straightens ${d}°`],
];

const MOST_SAYINGS = 4;

/** What changes from one pose to the next, in words, the most telling first. */
export function changeInWords(from: Pose, to: Pose): string {
  const [a, b] = [readPose(from), readPose(to)];
  const said = SAYINGS.flatMap(([of, least, more, less]) => {
    const by = b[of] - a[of];
    if (Math.abs(by) < least) return [];
    const size = of.endsWith('Deg') ? Math.round(Math.abs(by)) : Math.round(Math.abs(by) * 2) / 2;
    return [by > 0 ? more(size) : less(size)];
  });
  return said.slice(0, MOST_SAYINGS).join(', ');
}

/**
 * A figure in words, for those who do not see it: where it is seen from, each pose by its name, and
 * what moves on the way, measured on the drawing.
 *
 * @example describeFigure(FIGURES['tuck-seated'])
 * // "Seen from the side. Sitting tall, gaze level. Then: head slid straight back (head 4.5 cm back)."
 */
export function describeFigure(figure: Figure): string {
  const steps = figure.poses.map((pose, i) => {
    const name = figure.names[i] ?? `Position ${i + 1}`;
    const before = figure.poses[i - 1];
    if (!before) return `${name}.`;
    const change = changeInWords(before, pose);
    return `Then: ${name.charAt(0).toLowerCase()}${name.slice(1)}${change ? ` (${change})` : ''}.`;
  });
  return [SEEN[figure.view], ...steps].join(' ');
}
