import { PLAIN, entry } from './entry';

const BLADE = { family: 'Shoulder blade', region: 'shoulder', needs: PLAIN } as const;
const PRONE_LOADS = {
  climb: '2x10 hold 2s rest 60s every other day',
  'volume-load': '2x15-20 rest 60s every other day',
} as const;
const BAND_LOADS = {
  climb: '2x10-15 band light rest 60s every other day',
  'volume-load': '2x20-30 band light rest 60s every other day',
} as const;

const PRONE = {
  ...BLADE,
  position: 'face down',
  purpose: 'strengthen',
  mode: 'moved',
  usualDose: '2x10 hold 2s rest 60s every other day',
  doses: PRONE_LOADS,
} as const;

/** Face down: the lever grows from a W to a T to a Y. Doses are common practice, no source. */
export const PRONE_W = [
  entry({
    ...PRONE,
    id: 'prone-w',
    name: 'Arms in a W, face down',
    rung: 6,
    muscles: ['lower trapezius', 'middle trapezius'],
    traits: ['face-down'],
    keywords: ['scapula', 'lower trapezius', 'prone W'],
  }),
];

export const PRONE_Y = [
  entry({
    ...PRONE,
    id: 'prone-y',
    name: 'Arms in a Y, face down',
    rung: 8,
    muscles: ['lower trapezius'],
    traits: ['face-down', 'overhead', 'straight-arm overhead'],
    keywords: ['scapula', 'lower trapezius', 'prone Y'],
  }),
];

export const BLADE_AND_BAND = [
  entry({
    ...BLADE,
    id: 'wall-angel',
    name: 'Arms up the wall, back to it',
    rung: 10,
    position: 'standing',
    purpose: 're-educate',
    muscles: ['lower trapezius', 'thoracic extensors'],
    traits: ['overhead'],
    mode: 'moved',
    props: { wall: {} },
    usualDose: '2x8-10 slow rest 30s daily',
    doses: { climb: '2x8-10 slow rest 30s daily' },
    keywords: ['scapula', 'upward rotation', 'thoracic', 'wall'],
  }),
  entry({
    ...BLADE,
    id: 'band-pull-apart',
    name: 'Band pulled apart',
    rung: 11,
    position: 'standing',
    purpose: 'strengthen',
    muscles: ['middle trapezius', 'rhomboids'],
    traits: ['latex band'],
    mode: 'moved',
    props: { 'flat band': {} },
    usualDose: '2x10-15 band light rest 60s every other day',
    doses: BAND_LOADS,
    keywords: ['elastic', 'scapula', 'rear shoulder'],
  }),
  entry({
    ...BLADE,
    id: 'band-external-rotation',
    name: 'Band turn-out, elbows at the waist',
    rung: 12,
    position: 'standing',
    purpose: 'strengthen',
    muscles: ['external rotators of the shoulder', 'lower trapezius'],
    traits: ['latex band'],
    mode: 'moved',
    props: { 'flat band': {} },
    usualDose: '2x10-15 band light rest 60s every other day',
    doses: BAND_LOADS,
    keywords: ['elastic', 'rotator cuff', 'external rotation'],
  }),
];

export const UPPER_BACK_SEATED = [
  entry({
    family: 'Upper back',
    region: 'upper back',
    needs: PLAIN,
    id: 'chair-back-opening',
    name: 'Opening over the chair back',
    rung: 5,
    position: 'sitting',
    purpose: 'mobilise',
    muscles: ['thoracic joints', 'thoracic extensors'],
    traits: ['overhead'],
    mode: 'moved',
    props: { chair: {} },
    usualDose: 'x10 slow 1-3/day daily',
    doses: { climb: 'x10 slow 1-3/day daily' },
    keywords: ['desk', 'chest opening'],
  }),
];
