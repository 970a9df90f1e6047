import type { ReadyProgramme } from '@/core/ready';
import { line } from './line';

/** Chest and blades, low back, trunk and limbs, the day at the desk. Common practice, no source. */
export const BODY_PROGRAMMES: readonly ReadyProgramme[] = [
  {
    id: 'chest-and-headrest',
    name: 'Chest stretch and headrest tucks',
    about:
      'Opens the chest, draws the blades back, and tucks against a wall or a headrest when parked.',
    forWhom: 'Rounded shoulders with a forward head; who sits in a car or at a desk all day.',
    notFor: 'A shoulder that slips out backwards or pinches behind the back.',
    cautions: ['Do not force the head to reach the wall.', 'In the car only when parked.'],
    disagreement: 'How to tuck',
    rounds: 1,
    lines: [
      line('shoulder-rolls', 'x10 slow daily'),
      line('chest-stretch', '2x30s gap 15s daily'),
      line('tuck-to-wall', 'x10 hold 1-2s gap 2s daily'),
      line('blade-set', 'x10 hold 5s gap 3s daily', 'lengthen'),
    ],
    keywords: ['pectorals', 'car', 'rounded shoulders'],
  },
  {
    id: 'two-rounds',
    name: 'Two rounds',
    about: 'A short routine gone through twice, twice a day; the true time stands beside it.',
    forWhom: 'Who does better with a routine than with single exercises.',
    notFor: 'Who has fewer minutes a day than it takes.',
    cautions: ['Described as under four minutes, it takes longer with rests and changes.'],
    disagreement: null,
    rounds: 2,
    lines: [
      line('neck-warm-up', '40s 2/day daily'),
      line('tuck-seated', 'x5 hold 2s gap 2s 2/day daily'),
      line('clasp-and-open', '2x10s gap 5s 2/day daily'),
      line('blade-set', 'x5 hold 5s gap 3s 2/day daily'),
    ],
    keywords: ['routine', 'short', 'circuit'],
  },
  {
    id: 'desk-day',
    name: 'Desk day',
    about: 'Resets by a timer and at every wait, the upper back opened over the chair.',
    forWhom: 'Complaints that come on with hours of sitting.',
    notFor: 'Nobody; but it replaces no training where a test was weak.',
    cautions: ['Never while driving.'],
    disagreement: 'How often to think of posture',
    rounds: 1,
    lines: [
      line('posture-reset', '60s tuck 10-20% every 2h daily'),
      line('waiting-reset', 'x1 hold 10s tuck 10-20% every 2h daily'),
      line('chair-back-opening', 'x10 slow 2/day daily'),
      line('reading-push', '60s tuck 10-20% every 2h daily'),
    ],
    keywords: ['office', 'computer', 'sitting', 'micro-break'],
  },
  {
    id: 'volume-then-load',
    name: 'Volume, then load',
    about:
      'Many easy repetitions first, then three sets of ten to fifteen, then a real step of load.',
    forWhom: 'Blades and legs that are to become strong over two to three months.',
    notFor: 'The first irritable weeks; latex allergy (a free band).',
    cautions: ['Not to failure early.', 'As load rises, volume falls.'],
    disagreement: null,
    rounds: 1,
    lines: [
      line('easy-walk', '5min daily'),
      line('band-row', '2x20-30 band light rest 60s every other day', 'volume-load'),
      line('prone-arms-wide', '2x15-20 rest 60s every other day', 'volume-load'),
      line('sit-to-stand', '2x20-30 rest 60s every other day', 'volume-load'),
    ],
    keywords: ['strength', 'hypertrophy', 'load'],
  },
  {
    id: 'back-bending-back',
    name: 'Low back, bending back first',
    about:
      'Lying face down, propped on the forearms, pressing up, and the standing version through the day.',
    forWhom: 'Bending back draws leg or back symptoms in towards the spine.',
    notFor: 'Narrowing or a slip of the low back; late pregnancy; symptoms that go further down.',
    cautions: [
      'Only the direction that draws symptoms in.',
      'New weakness or numbness is urgent, even with less pain.',
    ],
    disagreement: 'Low back',
    rounds: 1,
    lines: [
      line('face-down-lying', '2-3min 4/day daily', 'repeated'),
      line('forearm-prop', '2-3min 4/day daily', 'repeated'),
      line('press-up', 'x10 hold 1s 4/day daily', 'repeated'),
      line('standing-back-bend', 'x10 hold 1s every 2h daily', 'repeated'),
    ],
    keywords: ['extension', 'sciatica', 'disc', 'repeated movements'],
  },
  {
    id: 'back-bending-forward',
    name: 'Low back, bending restored',
    about:
      'Knees to chest, then the sitting bend; the standing bend, never held, is the step after.',
    forWhom: 'Bending forward draws symptoms in, or bending is to be restored later.',
    notFor: 'Osteoporosis; soon after waking; symptoms that bending sends down the leg.',
    cautions: ['After bending back has settled it.', 'The standing bend is never held at its end.'],
    disagreement: 'Low back',
    rounds: 1,
    lines: [
      line('knees-to-chest', 'x10 hold 2s 1-4/day daily', 'repeated'),
      line('sitting-bend', 'x10 hold 2s 1-4/day daily', 'repeated'),
    ],
    keywords: ['flexion', 'repeated movements'],
  },
  {
    id: 'trunk-descending',
    name: 'Trunk endurance, descending',
    about: 'Front, side and back of the trunk in sets of six, four and two, neutral throughout.',
    forWhom:
      'A back that hurts by lifting and was not helped by strengthening; low endurance in tests.',
    notFor: 'Hernia or eye disease; wrists, knees or shoulders that cannot carry.',
    cautions: ['Keep breathing.', 'Find neutral first.'],
    disagreement: 'Low back',
    rounds: 1,
    lines: [
      line('pelvic-tilt', 'x10 slow daily'),
      line('cat-camel', 'x6-8 slow daily'),
      line('curl-up', '6-4-2 hold 10s rest 20-30s daily', 'descending-sets'),
      line('side-plank', '6-4-2 hold 10s rest 20-30s each side daily', 'descending-sets'),
      line('leg-reach', '6-4-2 hold 10s rest 20-30s each side daily', 'descending-sets'),
    ],
    keywords: ['core', 'stiffness', 'stability', 'planks'],
  },
  {
    id: 'barriers-angles-foot',
    name: 'Barriers, three angles and foot push',
    about:
      'A stretch by barriers, the knee held at three angles, and the foot pushed down against a band.',
    forWhom: 'A short side of the neck, and a leg that tests weak.',
    notFor:
      'Instability or arthritis (end of range); latex allergy; pain under the kneecap at an angle.',
    cautions: ['No bouncing.', '80 % of the most allows seven or eight, not ten.'],
    disagreement: null,
    rounds: 1,
    lines: [
      line('side-neck-stretch', '30s at 3 barriers each side daily', 'barriers'),
      line('knee-angle-hold', '5x5s at 3 angles rest 60s 50% every other day', 'angles'),
      line(
        'band-foot-push',
        '3x10 50/75/100% 10rm rest 2min each side every other day',
        'ascending',
      ),
    ],
    keywords: ['stretch', 'leg', 'ascending'],
  },
];
