import type { Muscle } from '../figure';

/** A row of cross-sections that a region lies on. */
export type Surface = 'neck' | 'trunk' | 'upperArm' | 'forearm' | 'thigh' | 'shank';

/** From one bearing to another, at a section counted along its surface: 0 in front, 90 at the right, 180 behind. */
type Span = readonly [section: number, from: number, to: number];

/** A patch of skin over a muscle, described for the right; on the left its bearings are the other way. */
export type Region = { readonly on: Surface; readonly spans: readonly Span[] };

/**
 * Where each muscle lies under the skin, by plain surface anatomy (from memory of an atlas). Sections:
 * trunk 0–4 pelvis, 5–7 low back, 8–17 chest to collar; neck 0–1 collar, 2–4 neck, 5 skull.
 */
export const REGIONS: Readonly<Record<Muscle, readonly Region[]>> = {
  'deep neck flexors': [
    {
      on: 'neck',
      spans: [
        [1.4, 10, 84],
        [3.2, 12, 88],
        [5, 14, 92],
      ],
    },
  ],
  'neck flexors': [
    {
      on: 'neck',
      spans: [
        [1.1, 10, 40],
        [3, 44, 78],
        [5, 82, 118],
      ],
    },
  ],
  'neck extensors': [
    {
      on: 'neck',
      spans: [
        [1.2, 104, 176],
        [3, 100, 174],
        [5, 96, 174],
      ],
    },
  ],
  suboccipitals: [
    {
      on: 'neck',
      spans: [
        [3.0, 104, 174],
        [5, 100, 174],
      ],
    },
  ],
  'side of neck': [
    {
      on: 'neck',
      spans: [
        [1.1, 46, 116],
        [3, 46, 116],
        [5, 56, 120],
      ],
    },
  ],
  'upper trapezius': [
    {
      on: 'neck',
      spans: [
        [1.2, 64, 160],
        [2.4, 84, 164],
        [4, 130, 168],
      ],
    },
    {
      on: 'trunk',
      spans: [
        [13.2, 72, 150],
        [14.6, 62, 156],
        [16, 60, 160],
        [17, 62, 164],
      ],
    },
  ],
  'between the blades': [
    {
      on: 'trunk',
      spans: [
        [9.4, 160, 176],
        [11, 132, 176],
        [12.6, 126, 176],
        [13.8, 140, 176],
      ],
    },
  ],
  'lower trapezius': [
    {
      on: 'trunk',
      spans: [
        [7.4, 172, 178],
        [9.5, 146, 177],
        [11.2, 132, 176],
      ],
    },
  ],
  chest: [
    {
      on: 'trunk',
      spans: [
        [9.6, 10, 70],
        [11, 5, 84],
        [12.4, 8, 84],
        [13.2, 18, 76],
      ],
    },
  ],
  serratus: [
    {
      on: 'trunk',
      spans: [
        [8.2, 62, 100],
        [9.6, 58, 108],
        [11, 66, 104],
      ],
    },
  ],
  'upper back': [
    {
      on: 'trunk',
      spans: [
        [8.2, 124, 177],
        [11, 120, 177],
        [13.6, 130, 177],
      ],
    },
  ],
  'low back': [
    {
      on: 'trunk',
      spans: [
        [2.6, 120, 176],
        [5, 108, 176],
        [7, 108, 176],
        [8.4, 120, 176],
      ],
    },
  ],
  belly: [
    {
      on: 'trunk',
      spans: [
        [2.6, 4, 56],
        [5, 2, 66],
        [7, 2, 66],
        [8.8, 3, 54],
      ],
    },
  ],
  'side of trunk': [
    {
      on: 'trunk',
      spans: [
        [4, 66, 108],
        [6, 62, 116],
        [8.6, 66, 112],
      ],
    },
  ],
  buttock: [
    {
      on: 'trunk',
      spans: [
        [0.6, 112, 168],
        [2, 96, 174],
        [3.8, 110, 170],
      ],
    },
  ],
  'front of hip': [
    {
      on: 'thigh',
      spans: [
        [0, -40, 84],
        [1.4, -44, 86],
        [2.8, -30, 70],
      ],
    },
  ],
  'front of thigh': [
    {
      on: 'thigh',
      spans: [
        [2, -78, 78],
        [4, -86, 86],
        [6.2, -74, 74],
      ],
    },
  ],
  'back of thigh': [
    {
      on: 'thigh',
      spans: [
        [1.6, 104, 256],
        [4, 96, 264],
        [6.4, 108, 252],
      ],
    },
  ],
  calf: [
    {
      on: 'shank',
      spans: [
        [0.6, 104, 256],
        [2.4, 92, 268],
        [4.2, 112, 248],
      ],
    },
  ],
  'upper arm': [
    {
      on: 'upperArm',
      spans: [
        [1.4, -90, 90],
        [3.4, -110, 110],
        [5.6, -80, 80],
      ],
    },
  ],
  forearm: [
    {
      on: 'forearm',
      spans: [
        [0.4, -110, 110],
        [1.6, -130, 130],
        [3.6, -100, 100],
      ],
    },
  ],
};
