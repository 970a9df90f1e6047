import { randomUUID } from 'node:crypto';
import type { Figure } from '@/core/figure';
import { OwnExerciseDraft } from '@/core/records';
import { bareFigure, moveHandle, setSlider, shapeHand } from '@/core/studio';
import type { SignedIn } from '@/server/access';
import { saveExercise } from '@/server/desk/exercises';

/** An oar pull with a towel, drawn as a clinic would draw it in the studio. */
function oarPull(): Figure {
  const bare = bareFigure('sitting');
  const held = (['right', 'left'] as const).reduce(
    (pose, side) => shapeHand(moveHandle(pose, `${side} hand`, [16, 30, 0]), side, 'grip'),
    bare.poses[0],
  );
  const leaning = setSlider(held, 'trunk bent forward', 14);
  const upright = setSlider(held, 'trunk bent forward', -4);
  const pulled = setSlider(
    (['right', 'left'] as const).reduce(
      (pose, side) => moveHandle(pose, `${side} hand`, [-32, -10, side === 'right' ? 6 : -6]),
      upright,
    ),
    'shoulder blades back',
    3,
  );
  return {
    ...bare,
    poses: [leaning, pulled],
    names: ['Arms long, leaning a little forward', 'Towel drawn to the belly, blades together'],
    props: [...bare.props, { kind: 'cloth', through: [{ on: 'palmRight' }, { on: 'palmLeft' }] }],
    lit: [{ muscle: 'between the blades', as: 'working' }],
    fault: { name: 'Shoulders creep up', pose: setSlider(pulled, 'shoulder blades up', 6) },
  };
}

/** The clinic's own exercise of the demo. */
export async function addOwnExercise(member: SignedIn): Promise<void> {
  const exercise = OwnExerciseDraft.parse({
    name: 'Oar pull with a towel',
    family: 'Shoulder blade',
    rung: 9,
    position: 'sitting',
    region: 'upper back',
    purpose: 'endure',
    mode: 'held',
    sided: false,
    effort: false,
    muscles: ['between the shoulder blades'],
    props: [{ prop: 'towel', orElse: [] }],
    traits: [],
    directions: [],
    ways: '',
    usualDose: '2x10 hold 3s rest 60s mon wed fri',
    steps: [
      'Sit tall and hold a towel by both ends, arms long.',
      'Draw it to your belly and bring your shoulder blades together.',
      'Hold, then let the arms go long again.',
    ],
    cues: ['Shoulders stay low'],
    faults: [{ fault: 'Shoulders creep up', fix: 'Pull lower, to the belly' }],
    feel: 'Work between the shoulder blades.',
    normal: 'Tired muscles there for a day.',
    stop: 'Pain that runs into an arm.',
    watch: 'The chin stays back while the arms pull.',
    keywords: ['row', 'oar'],
    figure: oarPull(),
  });
  await saveExercise(member, { id: randomUUID(), exercise });
}
