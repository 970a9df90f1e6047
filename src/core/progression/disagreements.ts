import type { Family } from '../exercise';

/** One side of what the trade disagrees about, and what follows from taking it. */
export type Position = {
  readonly says: string;
  readonly consequence: string;
  /** The dose it would write, where it is about the dose. */
  readonly dose?: string;
};

export type Disagreement = {
  readonly about: string;
  readonly families: readonly Family[];
  readonly positions: readonly Position[];
};

const TUCKS: readonly Family[] = [
  'Nod and tuck, lying',
  'Tuck, upright',
  'Tuck against resistance',
];

/** Where the trade disagrees: both sides are offered. Common practice, no source. */
export const DISAGREEMENTS: readonly Disagreement[] = [
  {
    about: 'How to tuck',
    families: TUCKS,
    positions: [
      {
        says: 'Level and straight back.',
        consequence: 'Easy to check against a wall; some end up pressing into the throat.',
      },
      {
        says: 'Up and back, only as far as one can still swallow.',
        consequence: 'Spares the throat; the range is smaller and harder to see.',
      },
    ],
  },
  {
    about: 'Lying: lift, or only lighten',
    families: ['Nod and tuck, lying'],
    positions: [
      {
        says: 'Lift the head a little.',
        consequence: 'More work, and the strap muscles join in sooner.',
      },
      {
        says: 'Only take weight off it; the back of the head stays in contact.',
        consequence: 'Keeps the work deep; slower to grow strong.',
      },
    ],
  },
  {
    about: 'How long to hold',
    families: [...TUCKS, 'Neck hold'],
    positions: [
      {
        says: '1–2 s, ten times.',
        consequence: '10–20 s held: movement more than endurance.',
        dose: 'x10 hold 1-2s gap 2s',
      },
      {
        says: '3 s, ten times, growing to 10 s.',
        consequence: '30 s held, to 100 s.',
        dose: 'x10 hold 3s gap 3s',
      },
      {
        says: '10 s, ten times.',
        consequence: '100 s held, under three minutes.',
        dose: '10x10s gap 5s',
      },
      {
        says: '10–15 s, three to five times.',
        consequence: '30–75 s held.',
        dose: '3-5x10-15s gap 15s',
      },
      {
        says: 'One minute, three times a day.',
        consequence: '180 s held a day, and three sessions to remember.',
        dose: '60s 3/day',
      },
    ],
  },
  {
    about: 'Push still, through range, or glide',
    families: ['Neck hold', 'Tuck against resistance'],
    positions: [
      {
        says: 'Push without moving, head in neutral.',
        consequence: 'Generally safe; strength stays near that position.',
      },
      {
        says: 'Resist through the whole range.',
        consequence: 'Strength through the range; not after injury.',
      },
      {
        says: 'Glide sideways without tipping.',
        consequence: 'Little load, much control; hard to learn alone.',
      },
    ],
  },
  {
    about: 'Front only, or all round',
    families: ['Neck hold', 'Tuck against resistance'],
    positions: [
      {
        says: 'Only the front: the back is already overworked.',
        consequence: 'Shorter; the back keeps its habit.',
      },
      { says: 'Back, sides and front.', consequence: 'Balanced; takes longer each day.' },
    ],
  },
  {
    about: 'The curve of the neck',
    families: ['Curve of the neck', ...TUCKS],
    positions: [
      {
        says: 'Restore the inward curve with supported extension.',
        consequence: 'Looking back narrows the nerve’s exit; many precautions.',
      },
      {
        says: 'Keep neutral and never train into extension.',
        consequence: 'Fewer precautions; looking up stays untrained.',
      },
      {
        says: 'Flatten it with tucks.',
        consequence: 'Common; together with restoring drills it wants a reason.',
      },
    ],
  },
  {
    about: 'Whole-circle rolls',
    families: ['Neck mobility'],
    positions: [
      {
        says: 'They warm up well.',
        consequence: 'They pass through looking back and to the side.',
      },
      { says: 'Avoid them.', consequence: 'Nothing is lost: the warm-up has the four directions.' },
    ],
  },
  {
    about: 'How far to tuck all day',
    families: ['Posture and breathing', 'Tuck, upright'],
    positions: [
      {
        says: 'Full to train, then live at 70–80 % of it.',
        consequence: 'A strong change that few keep up.',
        dose: '60s tuck 70-80% every 2h',
      },
      {
        says: 'Live at 10–20 % of it.',
        consequence: 'Easy to keep; a small change.',
        dose: '60s tuck 10-20% every 2h',
      },
      {
        says: '25–38 mm back from the slouch.',
        consequence: 'Can be measured with a ruler; not fitted to the person.',
      },
    ],
  },
  {
    about: 'How often to think of posture',
    families: ['Posture and breathing'],
    positions: [
      {
        says: 'A timer.',
        consequence: 'Sure to ring, also when it is in the way.',
        dose: '60s tuck 10-20% every 30min',
      },
      {
        says: 'Tied to waiting moments of the day.',
        consequence: 'Grows into a habit; nobody counts it.',
        dose: '60s tuck 10-20% as needed',
      },
    ],
  },
  {
    about: 'Low back',
    families: ['Bending back', 'Bending forward', 'Trunk endurance'],
    positions: [
      {
        says: 'Movement one way, the one that draws symptoms in.',
        consequence: 'Fast answer within days; often in the day.',
      },
      {
        says: 'Stiffness and endurance with a neutral spine.',
        consequence: 'Weeks; fits where it began with lifting and strengthening has not helped.',
      },
    ],
  },
];

/** What the trade disagrees about in a family. */
export function disagreementsOn(family: Family): Disagreement[] {
  return DISAGREEMENTS.filter(({ families }) => families.includes(family));
}
