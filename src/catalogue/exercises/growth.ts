import type { Exercise } from '@/core/exercise';

/** A bout of a minute, in the seconds that holds are written in. */
const MIN = 60;

/**
 * How far each exercise's own method goes: the holds it climbs through, seconds, the last its end. A
 * six-way hold stays at ten seconds and a wedge at ten minutes, whatever the school. Common practice,
 * no source.
 */
const HOLDS: Readonly<Record<string, readonly number[]>> = {
  'tuck-lying': [3, 5, 10],
  'nod-hold-finger-check': [5],
  'tuck-lighten': [3, 5, 10],
  'tuck-lift': [10, 30],
  'chin-held-ball': [10, 30, 60],
  'tuck-seated': [2, 3, 5, 10],
  'tuck-to-wall': [2],
  'tuck-small-nod': [5],
  'tuck-turn-nod': [3],
  'half-tuck-turn': [1],
  'cheekbone-nod': [3],
  'skull-base-tuck': [3],
  'forehead-tuck': [10, 15],
  'under-jaw-tuck': [10, 15],
  'band-lengthening': [10, 30],
  'tuck-hands-knees': [10, 30],
  'tuck-bench-edge': [60],
  'bench-edge-arms': [30, 60],
  'six-way-hold': [10],
  'four-way-ball': [3],
  'prone-neck-hold': [30, 60],
  'wall-press': [30, 60],
  'side-band-hold': [30, 60],
  'towel-pull': [10, 15],
  'shrug-hold': [MIN, 2 * MIN, 3 * MIN, 4 * MIN, 5 * MIN],
  'glide-press': [1],
  'side-neck-stretch': [30],
  'blade-lifter-stretch': [30],
  'chest-stretch': [30],
  'doorway-stretch': [30],
  'hip-front-stretch': [30],
  'block-opening': [30, MIN, 2 * MIN, 5 * MIN, 10 * MIN, 15 * MIN],
  'clasp-and-open': [10, 15],
  'neck-base-press': [3],
  'rolled-cloth': [2],
  'wedge-lying': [5 * MIN, 10 * MIN],
  'look-up-push': [5],
  'overhead-shrug': [10],
  'blade-set': [5],
  'prone-arms-wide': [2],
  'face-down-lying': [3 * MIN],
  'forearm-prop': [3 * MIN],
  'press-up': [1],
  'standing-back-bend': [1],
  'knees-to-chest': [2],
  'sitting-bend': [2],
  'curl-up': [10, 15],
  bridge: [5, 10],
  'hands-knees-reach': [10, 15],
  'side-plank': [10, 15],
  'knee-angle-hold': [5],
  'posture-reset': [60],
  'sit-tall': [10],
  'easy-walk': [10 * MIN, 20 * MIN],
  'retraction-lying': [2, 3],
  'retraction-overpressure': [1],
  'towel-extension': [1],
  'suboccipital-release': [MIN, 2 * MIN, 3 * MIN],
  'lat-stretch': [30],
  'hamstring-stretch': [30],
  'buttock-stretch': [30],
  'calf-stretch': [30],
  'heels-rest': [30, MIN],
  'pelvic-tilt': [3],
  'side-glide': [1],
  'leg-reach': [10, 15],
  'side-plank-legs': [10, 15],
  'front-plank-knees': [10, 15],
  'front-plank': [10, 15],
  'prone-lifts': [3, 5],
  'prone-w': [2],
  'prone-y': [2],
  'easy-jog': [5 * MIN],
  'warm-pack': [15 * MIN],
  'cold-pack': [10 * MIN],
  'waiting-reset': [10],
  'reading-push': [60],
};

/** Where a second and a third session are added as it settles, or it is done often: the most a day. */
const TIMES_A_DAY: Readonly<Record<string, number>> = {
  'nod-hold-finger-check': 3,
  'forehead-tuck': 3,
  'tuck-seated': 3,
  'tuck-bench-edge': 3,
  'wedge-lying': 2,
  'median-slider': 3,
  'ulnar-slider': 3,
  'radial-slider': 3,
  'sciatic-slider': 3,
  'face-down-lying': 4,
  'forearm-prop': 4,
  'press-up': 4,
  'knees-to-chest': 4,
  'sitting-bend': 4,
  'retraction-lying': 6,
  'retraction-overpressure': 6,
  'side-glide': 8,
  'femoral-slider': 3,
  'bench-edge-arms': 3,
  'chair-back-opening': 3,
  'squat-to-look': 3,
};

/** What a weight can be added to, at the ankle, in the hands or on the pelvis. */
const CARRIERS: ReadonlySet<string> = new Set([
  'straight-leg-raise',
  'prone-arms-wide',
  'hip-hinge',
  'bridge',
  'bench-edge-weight',
  'prone-w',
  'prone-y',
  'sit-to-stand',
  'squat',
  'calf-raise',
  'clamshell',
  'side-leg-lift',
]);

/** A shipped exercise with how far its method goes. */
export function withGrowth(exercise: Exercise): Exercise {
  const { id } = exercise;
  const holds = HOLDS[id];
  const timesADay = TIMES_A_DAY[id];
  const carriesLoad = CARRIERS.has(id);
  return holds || timesADay || carriesLoad
    ? { ...exercise, growth: { holds: holds ?? [], timesADay: timesADay ?? 1, carriesLoad } }
    : exercise;
}
