import type { ReadyLine, ReadyProgramme } from '@/core/ready';

const line = (exerciseId: string, dose: string, school: ReadyLine['school'] = null): ReadyLine => ({
  exerciseId,
  dose,
  school,
});

/** Tucks, nods and holds of the neck. Common practice, no source. */
export const NECK_PROGRAMMES: readonly ReadyProgramme[] = [
  {
    id: 'first-week',
    name: 'First week',
    about: 'The least day worth having: the easy range once, and a posture reset.',
    forWhom: 'Whoever begins, flares easily, or has hardly any minutes.',
    notFor: 'Whoever does all of it easily already: it would teach that exercises do nothing.',
    cautions: ['Nothing may hurt more afterwards than before.'],
    disagreement: null,
    rounds: 1,
    lines: [
      line('neck-warm-up', '2x40s gap 10s daily'),
      line('tuck-lying', 'x5 hold 3s gap 3s daily', 'lengthen'),
      line('posture-reset', '60s tuck 10-20% every 2h daily'),
    ],
    keywords: ['start', 'beginner', 'short', 'minimum'],
  },
  {
    id: 'ten-by-ten',
    name: 'Ten by ten',
    about:
      'Tucks lying and shrugs overhead, ten seconds ten times, with breathing down into the belly.',
    forWhom: 'A weak front of the neck that holds a few seconds already; who likes one number.',
    notFor:
      'Arm symptoms (elbows bent, or leave the shrug out); shoulders that do not go overhead.',
    cautions: [
      'Poking the chin during the shrug adds load.',
      'No breath is held beyond the count.',
    ],
    disagreement: 'How long to hold',
    rounds: 1,
    lines: [
      line('belly-breathing', 'x10 breath 4-4-4 daily'),
      line('tuck-lying', '10x10s gap 5s daily'),
      line('overhead-shrug', '10x10s gap 5s daily'),
    ],
    keywords: ['10x10', 'tens', 'breathing'],
  },
  {
    id: 'nod-stairs',
    name: 'Nod stairs with a band at the end',
    about: 'The nod that is held, then weight taken off the head, then length against a band.',
    forWhom: 'A nod test in which the strap muscles at the front join in early.',
    notFor:
      'Fainting or disease of the neck arteries (no fingers beside the throat); latex allergy.',
    cautions: [
      'The strap muscles stay soft.',
      'Once a day, then a second and third as it settles.',
    ],
    disagreement: 'Lying: lift, or only lighten',
    rounds: 1,
    lines: [
      line('nod-hold-finger-check', 'x10 hold 5s gap 3s 1-3/day daily', 'climb'),
      line('tuck-lighten', 'x10 hold 3s gap 3s daily', 'lengthen'),
      line('band-lengthening', '3x10s band light gap 20s daily', 'lengthen'),
    ],
    keywords: ['deep neck flexors', 'nod ladder', 'band'],
  },
  {
    id: 'ball-under-head',
    name: 'Ball under the head',
    about: 'Nod, turn, lift and hold with the head on a soft ball, the hardest last.',
    forWhom: 'A chin that juts to one side; a neck that moves as one piece.',
    notFor:
      'Instability, osteoporosis or dizziness on turning; jaw trouble (leave the last line out).',
    cautions: [
      'The head stays heavy and rolls with the ball.',
      'Compare the sides, write down which juts.',
    ],
    disagreement: 'Lying: lift, or only lighten',
    rounds: 1,
    lines: [
      line('nod-on-ball', 'x5-10 slow daily'),
      line('ball-turns', 'x5 slow each side daily'),
      line('lift-over-ball', 'x3-5 slow daily', 'climb'),
      line('chin-held-ball', '5x10s gap 5s daily', 'lengthen'),
    ],
    keywords: ['soft ball', 'compare sides'],
  },
  {
    id: 'wall-ball-lighten',
    name: 'Wall, ball and lighten',
    about:
      'A long press into a pad at the wall, the nod on the ball, and weight taken off the head.',
    forWhom: 'A forward head with weak front and back; a headache that the press eases.',
    notFor: 'High blood pressure that is not controlled (long hold); who cannot lie on the back.',
    cautions: [
      'The pad is as thick as the wall gap.',
      'Record whether the press eases the headache.',
    ],
    disagreement: 'Front only, or all round',
    rounds: 1,
    lines: [
      line('nod-on-ball', 'x5-10 slow daily'),
      line('tuck-lighten', 'x10 hold 3s gap 3s daily', 'lengthen'),
      line('wall-press', '3x30s gap 60s rpe 3-5 daily', 'lengthen'),
    ],
    keywords: ['headache', 'wall press', 'pad'],
  },
  {
    id: 'four-long-holds',
    name: 'Four long holds',
    about: 'Back, both sides and front of the neck, thirty seconds growing to a minute.',
    forWhom:
      'A neck that tires by the evening; extensors and sides that hold under thirty seconds.',
    notFor: 'High blood pressure or heart disease until controlled; shoulders that cannot carry.',
    cautions: ['Ease off slowly.', 'Low effort: it feels like almost nothing while it works.'],
    disagreement: 'Front only, or all round',
    rounds: 1,
    lines: [
      line('prone-neck-hold', '3x30s gap 60s daily', 'lengthen'),
      line('wall-press', '3x30s gap 60s rpe 3-5 daily', 'lengthen'),
      line('side-band-hold', '3x30s gap 60s each side rpe 3-5 daily', 'lengthen'),
      line('tuck-hands-knees', '3x30s gap 20s daily'),
    ],
    keywords: ['endurance', 'isometric', 'long holds'],
  },
  {
    id: 'resisted-tucks',
    name: 'Resisted tucks',
    about:
      'A small nod against the fingers, then the tuck against one’s own hand from four places.',
    forWhom: 'A tuck that is done well ten times, and is to become strong.',
    notFor: 'Jaw trouble (leave out under the jaw); who still pokes the chin against the hand.',
    cautions: ['Keep the tuck; never from a poked chin.', 'Lips together, teeth apart.'],
    disagreement: 'Push still, through range, or glide',
    rounds: 1,
    lines: [
      line('cheekbone-nod', 'x5 hold 3s gap 3s 20% daily'),
      line('skull-base-tuck', 'x5 hold 3s gap 3s 20% daily'),
      line('forehead-tuck', '3x10s gap 15s 30% 3/day daily', 'lengthen'),
      line('under-jaw-tuck', '3x10s gap 15s 30% daily', 'lengthen'),
    ],
    keywords: ['own hand', 'isometric', 'strength'],
  },
  {
    id: 'six-ways',
    name: 'Six ways',
    about: 'One’s own hand resists bending forward, back, to each side and turning each way.',
    forWhom: 'A weak neck all round that is painless when it is held still.',
    notFor: 'A neck where one of the ways hurts: leave that way out and do the others.',
    cautions: ['The head does not move: imagine the movement.', 'Ease off slowly.'],
    disagreement: 'Push still, through range, or glide',
    rounds: 1,
    lines: [line('six-way-hold', '3x10s in 6 directions gap 5s 30% daily')],
    keywords: ['isometric', 'six-way', 'hand resisted'],
  },
  {
    id: 'range-and-glides',
    name: 'Resisted range and glides',
    about:
      'The neck works against the hand through its range, glides level, and the arm’s nerve slides.',
    forWhom: 'A strong enough neck that tires in movement, with a sensitive nerve of the arm.',
    notFor: 'After a neck injury; tingling that a slider already brings on and leaves.',
    cautions: ['Sliders before tensioners.', 'Never into tingling.'],
    disagreement: 'Push still, through range, or glide',
    rounds: 1,
    lines: [
      line('glide-press', 'x10 hold 1s in 4 directions 20% daily'),
      line('resisted-range', '2x10 in 4 directions rest 60s 40% every other day'),
      line('median-slider', 'x10 move 4s each side 1-3/day daily', 'climb'),
    ],
    keywords: ['nerve glide', 'through range', 'arm'],
  },
  {
    id: 'upper-neck-seven',
    name: 'Upper neck in seven lines',
    about:
      'Warm-up, tuck, nod, turn and nod, two light pushes and a turn with a cloth, all high on the neck.',
    forWhom: 'A stiff upper neck with headache from the neck.',
    notFor:
      'Instability, inflammatory arthritis, dizziness on turning, osteoporosis (leave the cloth out).',
    cautions: [
      'High on the neck only.',
      'A stretch at the base of the skull is normal, dizziness is not.',
    ],
    disagreement: 'How to tuck',
    rounds: 1,
    lines: [
      line('neck-warm-up', '2x40s gap 10s daily'),
      line('tuck-seated', 'x10 hold 2s gap 2s daily', 'lengthen'),
      line('tuck-small-nod', 'x5 hold 5s gap 3s daily', 'climb'),
      line('tuck-turn-nod', 'x5 hold 3s at 10/20deg gap 2s alternating daily'),
      line('cheekbone-nod', 'x5 hold 3s gap 3s 20% daily'),
      line('skull-base-tuck', 'x5 hold 3s gap 3s 20% daily'),
      line('cloth-rotation', 'x10-20 move 3s each side daily'),
    ],
    keywords: ['headache', 'suboccipital', 'upper cervical'],
  },
  {
    id: 'half-tuck-cloth-shrug',
    name: 'Half tuck, cloth, shrug and press',
    about:
      'Turns with half a tuck kept, a cloth for the upper neck, a full shrug, a press at its base.',
    forWhom: 'A turn that is short and stiff high up, with a loose lower neck.',
    notFor:
      'Disc trouble low in the neck (cloth stays high), osteoporosis, arm symptoms (elbows bent).',
    cautions: [
      'Stop just short of the painful side.',
      'Stop the press if it still hurts with tuck and pressure.',
    ],
    disagreement: 'How far to tuck all day',
    rounds: 1,
    lines: [
      line('half-tuck-turn', 'x10 hold 1s each side tuck 50% daily'),
      line('cloth-rotation', 'x10-20 move 3s each side daily'),
      line('overhead-shrug', '5x10s gap 5s daily', 'lengthen'),
      line('neck-base-press', 'x15-20 hold 3s gap 2s tuck 50-70% daily'),
    ],
    keywords: ['rotation', 'turn', 'towel'],
  },
  {
    id: 'controlled-looking-up',
    name: 'Controlled looking up',
    about:
      'Looking up only as high as the backward push is kept, and the same push kept in reading.',
    forWhom: 'A step at the base of the neck that slides away forwards on looking up.',
    notFor: 'New weakness or numbness; dizziness on looking up.',
    cautions: ['Measure the controlled angle at every visit.', 'The goal is about 30–40°.'],
    disagreement: 'The curve of the neck',
    rounds: 1,
    lines: [
      line('tuck-seated', 'x10 hold 2s gap 2s daily', 'lengthen'),
      line('look-up-push', 'x5-10 hold 3-5s gap 3s daily'),
      line('reading-push', '60s tuck 10-20% every 2h daily'),
    ],
    keywords: ['extension', 'step feel', 'instability'],
  },
  {
    id: 'bench-edge',
    name: 'Bench edge',
    about: 'A tuck held over the edge of a bench or sofa arm, a minute three times a day.',
    forWhom: 'A stiff upper back under a forward head; who can lie over an edge easily.',
    notFor: 'Instability, disc trouble low in the neck, osteoporosis, arm symptoms, dizziness.',
    cautions: [
      'The edge at the stiffest point; head level with the floor.',
      'Stop at tingling or dizziness.',
    ],
    disagreement: 'The curve of the neck',
    rounds: 1,
    lines: [line('tuck-bench-edge', '60s 3/day daily')],
    keywords: ['extension', 'sofa arm', 'minute'],
  },
  {
    id: 'wedge',
    name: 'Wedge',
    about: 'Lying over a wedge with a folded blanket under the trunk, then pressing into it.',
    forWhom: 'A flattened curve, and a wish to try restoring it.',
    notFor: 'Disc trouble low in the neck, arm symptoms, instability, dizziness; never on a bed.',
    cautions: ['Ear level with shoulder.', 'Stop at any tingling, dizziness or change of sight.'],
    disagreement: 'The curve of the neck',
    rounds: 1,
    lines: [
      line('wedge-lying', '5min daily', 'lengthen'),
      line('wedge-press', '3x10 rest 30s daily'),
    ],
    keywords: ['curve', 'lordosis', 'blanket'],
  },
  {
    id: 'rolled-cloth',
    name: 'Rolled cloth',
    about:
      'A rolled shirt behind the neck is pulled forward while the trunk leans back on pillows.',
    forWhom: 'A flattened curve, and a wish to try restoring it sitting.',
    notFor: 'Disc trouble low in the neck, instability; daily where it leaves real soreness.',
    cautions: ['Pull forward all the way.', 'Every other day if it is sore.'],
    disagreement: 'The curve of the neck',
    rounds: 1,
    lines: [
      line('sit-tall', '3x10s gap 5s tuck 10-20% daily'),
      line('rolled-cloth', 'x10 hold 1-2s slow daily'),
    ],
    keywords: ['curve', 'T-shirt', 'towel'],
  },
  {
    id: 'pain-relief-hold',
    name: 'Pain-relief hold',
    about: 'One long shrug against a strap at a moderate effort, a minute growing towards five.',
    forWhom: 'An aching, tense neck and shoulders that feel safe holding.',
    notFor:
      'High blood pressure or heart disease until controlled; hernia or eye disease; concussion.',
    cautions: [
      'Warmth, a flush and light sweat are expected; breathlessness is not.',
      'Keep the effort at 3–5 of 10.',
    ],
    disagreement: null,
    rounds: 1,
    lines: [line('shrug-hold', 'x1 hold 60s rpe 3-5 daily', 'pain-relief')],
    keywords: ['pain', 'isometric', 'strap', 'five minutes'],
  },
];
