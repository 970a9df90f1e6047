import type { DrawnProp, Figure } from '@/core/figure';
import { CHAIR, HEAD_BAND, HOLD_BAND, changed, figure, hands, pose, push } from './kit';

/** Tucks with something more: a turn, a nod, a band; and tucks kept through the day. */
const onFours = (back: number, nod: number, turn = 0) =>
  pose('hands and knees', { head: { back, nod, turn } });

const TALL = pose('sitting', { head: { back: -0.3 } });
const TUCK = changed(TALL, { head: { back: 0.85 } });
const PULL = push('upperOcciput', [-0.8, 0.6, 0]);

/** A book held low, both hands under it. */
const BOOK: DrawnProp = { kind: 'pad', at: [33, 92, 0], size: [3, 20, 27] };
const HELD_BOOK = { arms: hands([30, 88, 14.5], { pole: [-0.6, -1, 0.5] }), grip: true };

const STAND = pose('standing');
const WAITING = changed(STAND, {
  pelvis: { flex: -3 },
  thorax: { flex: 11 },
  head: { back: -0.8, nod: -6 },
});

export const HARDER_TUCKS: Readonly<Record<string, Figure>> = {
  'hands-knees-turn': figure({
    crop: 'upper',
    poses: {
      'On hands and knees, tucked': onFours(0.75, 6),
      'A small turn, the tuck kept': onFours(0.75, 6, 40),
    },
    works: ['neck extensors', 'deep neck flexors'],
    fault: ['Head hangs during the turn', onFours(-1, 18, 34)],
  }),
  'hands-knees-nod': figure({
    poses: {
      'On hands and knees, tucked': onFours(0.75, 6),
      'A small nod, the neck stays long': onFours(0.75, 20),
    },
    works: ['neck extensors', 'deep neck flexors'],
    fault: ['The whole neck drops', onFours(-1.1, 22)],
  }),
  'band-lengthening-turn': figure({
    view: 'front',
    crop: 'upper',
    poses: {
      'Lifted up and back against the band': changed(TUCK, HOLD_BAND),
      'A small turn, the length kept': changed(TALL, {
        ...HOLD_BAND,
        head: { back: 0.85, turn: 22 },
      }),
    },
    props: [CHAIR, HEAD_BAND],
    works: ['neck extensors', 'deep neck flexors'],
    pushes: [PULL],
    fault: [
      'Loses length in the turn',
      changed(TALL, { ...HOLD_BAND, head: { back: -0.6, turn: 36 } }),
    ],
  }),
  'band-lengthening-nod': figure({
    crop: 'upper',
    poses: {
      'Lifted up and back against the band': changed(TUCK, HOLD_BAND),
      'A small nod, the length kept': changed(TALL, {
        ...HOLD_BAND,
        head: { back: 0.85, nod: 17 },
      }),
    },
    props: [CHAIR, HEAD_BAND],
    works: ['neck extensors', 'deep neck flexors'],
    pushes: [PULL],
    fault: [
      'The band pulls the head forward',
      changed(TALL, { ...HOLD_BAND, head: { back: -0.9, nod: 14 } }),
    ],
  }),
  'reading-push': figure({
    crop: 'upper',
    poses: {
      'Reading, the head slid a little back': changed(TALL, { ...HELD_BOOK, head: { back: 0.3 } }),
      'Looks down by a nod, the neck stays back': changed(TALL, {
        ...HELD_BOOK,
        head: { back: 0.4, nod: 20 },
      }),
    },
    props: [CHAIR, BOOK],
    works: ['deep neck flexors', 'neck extensors'],
    fault: [
      'The neck hangs over the page',
      changed(TALL, { ...HELD_BOOK, thorax: { flex: 10 }, head: { back: -1, nod: 18 } }),
    ],
  }),
  'waiting-reset': figure({
    poses: {
      'As you find yourself waiting': WAITING,
      'Grown tall, the head a little back': changed(STAND, { head: { back: 0.25 } }),
    },
    works: ['upper back', 'deep neck flexors'],
    fault: [
      'Stiff as a soldier',
      changed(STAND, { lumbar: { flex: -8 }, thorax: { flex: -6 }, head: { back: 1, nod: 8 } }),
    ],
  }),
};
