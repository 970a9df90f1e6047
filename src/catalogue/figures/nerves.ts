import { type Figure, type LimbPose, SEAT_CM } from '@/core/figure';
import { CHAIR, angles, changed, figure, on, pose, right } from './kit';

const STAND = pose('standing', { head: { back: 0.1 } });

/** The right arm out to the side, elbow and wrist as given; the head bent by so many degrees. */
const arm = (limb: LimbPose, side: number, up = 0) =>
  changed(STAND, {
    head: { back: 0.1, side },
    arms: { right: limb },
    blades: { up },
  });

/** Elbow bent to straight, the wrist bent back. */
const MEDIAN_BENT = angles(8, 74, 92, { spin: 88, end: -10, twist: 0, shape: 'flat' });
const MEDIAN_LONG = angles(4, 84, 8, { spin: 88, end: -62, twist: 0, shape: 'flat' });
/** The palm comes up towards the ear, elbow bent. */
const ULNAR_LOW = angles(4, 60, 60, { spin: 80, end: 10, twist: 90, shape: 'flat' });
const ULNAR_HIGH = angles(4, 92, 138, { spin: 88, end: -62, twist: 20, shape: 'flat' });
/** The arm down beside the body, turned in, the wrist bent and drawn back. */
const RADIAL_SHORT = angles(2, 14, 40, { spin: -50, end: 5, twist: 90, shape: 'fist' });
const RADIAL_LONG = angles(-14, 26, 4, { spin: -80, end: 66, twist: 90, shape: 'fist' });

/** Slumped on a chair, the right leg as given, the head bent or lifted. */
const slump = (knee: number, toes: number, nod: number, back = -0.6) =>
  pose('sitting', {
    pelvis: { flex: -10 },
    lumbar: { flex: 14 },
    thorax: { flex: 20 },
    head: { back, nod },
    arms: angles(-22, 15, 46),
    contacts: [on('seat', 'y', SEAT_CM + 0.9), on('seat', 'x')],
    legs: { right: angles(76, 2, knee, { end: toes }) },
  });

const slider = (bent: LimbPose, long: LimbPose, start: string, end: string, fault: string) =>
  figure({
    view: 'front',
    crop: 'upper',
    poses: { [start]: arm(bent, -18), [end]: arm(long, 18) },
    stretches: [right('forearm', 'stretched')],
    fault: [fault, arm(long, -26, 6)],
  });

const tensioner = (bent: LimbPose, long: LimbPose, start: string, end: string) =>
  figure({
    view: 'front',
    crop: 'upper',
    poses: { [start]: arm(bent, 0), [end]: arm(long, -22) },
    stretches: [right('forearm', 'stretched'), right('upper arm', 'stretched')],
    fault: ['Held as a stretch', arm(long, -30, 7)],
  });

export const NERVES: Readonly<Record<string, Figure>> = {
  'median-slider': slider(
    MEDIAN_BENT,
    MEDIAN_LONG,
    'Elbow bent, head tipped away',
    'Elbow straightens, the head comes along towards that arm',
    'Both ends tighten at once',
  ),
  'median-tensioner': tensioner(
    MEDIAN_BENT,
    MEDIAN_LONG,
    'Elbow bent, head level',
    'Elbow straight, wrist back, head tipped away, then let go',
  ),
  'ulnar-slider': slider(
    ULNAR_LOW,
    ULNAR_HIGH,
    'Arm low, head tipped away',
    'Palm towards the ear, the head comes along',
    'Both ends tighten at once',
  ),
  'ulnar-tensioner': tensioner(
    ULNAR_LOW,
    ULNAR_HIGH,
    'Arm low, head level',
    'Palm towards the ear, head tipped away, then let go',
  ),
  'radial-slider': slider(
    RADIAL_SHORT,
    RADIAL_LONG,
    'Elbow bent, head tipped away',
    'Arm long, turned in, wrist bent; the head comes along',
    'Both ends tighten at once',
  ),
  'radial-tensioner': tensioner(
    RADIAL_SHORT,
    RADIAL_LONG,
    'Elbow bent, head level',
    'Arm long and turned in, wrist bent, head tipped away, then let go',
  ),
  'sciatic-slider': figure({
    poses: {
      'Slumped, foot under the chair, head down': slump(96, -10, 14),
      'Knee straightens as the head lifts': slump(14, 20, -26, 0),
    },
    props: [CHAIR],
    stretches: [right('back of thigh', 'stretched')],
    fault: ['Both ends tighten at once', slump(8, 28, 18)],
  }),
  'sciatic-tensioner': figure({
    poses: {
      'Slumped, foot under the chair': slump(96, -10, -10, -0.2),
      'Knee straightens, toes up, head down, then let go': slump(14, 24, 16),
    },
    props: [CHAIR],
    stretches: [right('back of thigh', 'stretched'), right('calf', 'stretched')],
    fault: ['Held as a stretch', slump(2, 30, 22)],
  }),
};
