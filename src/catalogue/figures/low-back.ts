import { type Figure, SEAT_CM } from '@/core/figure';
import { CHAIR, angles, changed, figure, hands, on, pose } from './kit';

const FACE_MAT = { kind: 'mat', x: [-92, 92] } as const;
const STAND = pose('standing');

/** Face down, the trunk raised so many degrees from the waist, hands or forearms on the floor. */
const raised = (degrees: number, arms: Parameters<typeof pose>[1] = {}, hips = 0) =>
  pose('face down', {
    pelvis: { flex: 90 - hips },
    lumbar: { flex: -degrees * 0.62 },
    thorax: { flex: -degrees * 0.38 },
    head: { back: -0.1, nod: -6 },
    ...arms,
  });
const forearms = { arms: hands([60, 2, 19], { pole: [-0.8, 0.3, 1], flat: [1, 0, -0.2] }) };
const palms = (x: number) => ({
  arms: hands([x, 1, 25], { pole: [-1, 0.7, 0.8], flat: [1, 0, 0] }),
});

const HIPS = hands('sideOfBackRight', {
  away: [-2.6, -1, 1.4],
  pole: [-1, 0.1, 0.7],
  flat: [0.2, -1, -0.2],
});
const bentBack = (degrees: number, knees = 0) =>
  changed(STAND, {
    pelvis: { flex: -degrees * 0.3 },
    lumbar: { flex: -degrees * 0.5 },
    thorax: { flex: -degrees * 0.2 },
    arms: HIPS,
    legs: angles(knees - degrees * 0.42, 2, knees * 2, { end: degrees * 0.12 + knees }),
  });

const sitBend = (share: number) =>
  pose('sitting', {
    pelvis: { flex: 34 * share },
    lumbar: { flex: 40 * share },
    thorax: { flex: 26 * share },
    head: { back: -0.3 * share, nod: 10 * share },
    ...(share > 0 ? { arms: hands([40, 14, 6], { pole: [-1, -0.2, 0.6] }) } : {}),
    contacts: [on('seat', 'y', SEAT_CM + 4 * share), on('seat', 'x')],
  });

/** Bent forward from standing; the ankles stay and the seat goes back as it must. */
const bend = (pelvis: number, lumbar: number, thorax: number, knees = 3) =>
  pose('standing', {
    pelvis: { flex: pelvis },
    lumbar: { flex: lumbar },
    thorax: { flex: thorax },
    head: { back: -0.2 },
    arms: angles(pelvis + lumbar + thorax - 6, 6, 6),
    legs: angles(pelvis - 8 + knees, 4, knees * 2, { end: 8 + knees }),
  });

export const LOW_BACK: Readonly<Record<string, Figure>> = {
  'face-down-lying': figure({
    poses: {
      'Face down, arms by the sides': pose('face down', { head: { back: -0.1, nod: 8, turn: 41 } }),
      'Let everything sink': pose('face down', { head: { back: -0.1, nod: 8, turn: 45 } }),
    },
    props: [FACE_MAT],
    stretches: ['low back'],
    fault: [
      'Neck is strained',
      pose('face down', { lumbar: { flex: -10 }, head: { nod: -30 }, arms: angles(-12, 14, 4) }),
    ],
  }),
  'forearm-prop': figure({
    poses: {
      'Face down': raised(2, palms(66)),
      'Propped on the forearms, hips heavy': raised(43, forearms),
    },
    props: [FACE_MAT],
    stretches: ['belly'],
    works: ['low back'],
    fault: [
      'Hangs in the shoulders',
      changed(raised(43, forearms), { blades: { up: 4 }, head: { back: -1 } }),
    ],
  }),
  'press-up': figure({
    poses: {
      'Hands under the shoulders': raised(2, palms(70)),
      'Arms press the chest up, hips stay down': raised(56, palms(70)),
    },
    props: [FACE_MAT],
    stretches: ['belly'],
    works: ['upper arm'],
    fault: [
      'Hips lift',
      changed(raised(34, palms(66), 12), {
        legs: angles(-7, 4, 0, { end: -70 }),
        contacts: [on('frontOfPelvis', 'y', 9), on('frontOfPelvis', 'x')],
      }),
    ],
  }),
  'standing-back-bend': figure({
    poses: {
      'Hands in the small of the back': bentBack(0),
      'Bends back over the hands, knees straight': bentBack(34),
    },
    stretches: ['belly'],
    fault: ['Bends the knees', bentBack(24, 20)],
  }),
  'sitting-bend': figure({
    poses: {
      'Sitting, feet apart': sitBend(0),
      'Hands slide down towards the feet': sitBend(1),
    },
    props: [CHAIR],
    stretches: ['low back'],
    fault: ['Looks up on the way down', changed(sitBend(1), { head: { back: -0.3, nod: -34 } })],
  }),
  'standing-bend': figure({
    poses: {
      'Standing tall': bend(0, 0, 0),
      'Rolls down as far as is easy, and up again at once': bend(52, 36, 22),
    },
    stretches: ['low back', 'back of thigh'],
    fault: ['Holds at the end', bend(66, 44, 30)],
  }),
  'hip-hinge': figure({
    poses: {
      'Standing, knees soft': bend(0, 0, 0, 4),
      'Seat goes back, the back stays long': bend(52, 0, 0, 10),
    },
    works: ['buttock', 'low back'],
    fault: ['Back rounds', bend(30, 40, 26, 6)],
  }),
};
