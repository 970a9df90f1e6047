/** In which one way a step is harder than the one below it. */
export const HARDER_BY = [
  'gravity',
  'lever',
  'range',
  'load',
  'support',
  'movement',
  'length of hold',
  'both ends',
] as const;
export type HarderBy = (typeof HARDER_BY)[number];

/** What makes a step of the stairs a step. */
export type Rung = {
  /** Null for the first. */
  readonly harder: HarderBy | null;
  /** The control test that opens it. */
  readonly opens: string;
  /** The sign that closes it, for now. */
  readonly closes: string;
};

const first = (opens: string, closes: string): Rung => ({ harder: null, opens, closes });
const then = (harder: HarderBy, opens: string, closes: string): Rung => ({ harder, opens, closes });

const SLIDER = first('The arm or leg moves without symptoms that stay.', 'Tingling that stays.');
const TENSIONER = then(
  'both ends',
  'Ten sliders, smooth, and nothing stays afterwards.',
  'Pain or tingling that does not go away in a few minutes, or new weakness.',
);

/** Each step of every ladder. Common practice, no source. */
export const RUNGS: Readonly<Record<string, Rung>> = {
  'nod-on-ball': first('Can lie with the head heavy.', 'The chin juts to one side all the same.'),
  'tuck-lying': then('gravity', 'Nods on the ball without a jut.', 'The strap muscles stand out.'),
  'nod-hold-finger-check': then(
    'length of hold',
    'Ten tucks, mouth closed, shoulders down.',
    'The strap muscles harden under the fingers within five seconds.',
  ),
  'tuck-lighten': then(
    'load',
    'Holds the nod ten times five seconds, strap muscles soft.',
    'The back of the head leaves the floor.',
  ),
  'tuck-lift': then(
    'load',
    'Takes weight off ten times ten seconds, the chin in.',
    'The chin pokes as the head rises, or it shakes hard at once.',
  ),
  'lift-over-ball': then(
    'movement',
    'Lifts three times thirty seconds with the chin in.',
    'The ribs flare, or the chin leads.',
  ),
  'tuck-seated': first('Sits tall by itself.', 'Nods down or tips up instead of sliding.'),
  'tuck-to-wall': then(
    'range',
    'Slides level ten times with the gaze still.',
    'Forces the head to the wall.',
  ),
  'tuck-small-nod': then(
    'movement',
    'The tuck stays while it is held five seconds.',
    'The chin goes to the chest.',
  ),
  'tuck-turn-nod': then(
    'movement',
    'Nods on top of the tuck five times without losing it.',
    'The turn takes the tuck along.',
  ),
  'cheekbone-nod': first('Nods without the trunk joining in.', 'Shoves forward.'),
  'skull-base-tuck': then('load', 'A tiny nod is held with nothing moving.', 'Tips the head up.'),
  'forehead-tuck': then(
    'load',
    'Presses back five times three seconds, level.',
    'Starts from a poked chin.',
  ),
  'under-jaw-tuck': then(
    'load',
    'Holds the forehead three times fifteen seconds, the tuck kept.',
    'Teeth together, or pain in the jaw.',
  ),
  'band-lengthening': then(
    'load',
    'Holds under the jaw three times fifteen seconds.',
    'Cannot swallow any more.',
  ),
  'band-lengthening-nod': then(
    'movement',
    'Lengthens three times thirty seconds.',
    'The band pulls the head forward.',
  ),
  'band-lengthening-turn': then(
    'movement',
    'Nods ten times at full length.',
    'Loses length in the turn.',
  ),
  'tuck-hands-knees': first('Wrists and knees carry; tucks sitting.', 'The head hangs.'),
  'hands-knees-nod': then('movement', 'Holds three times thirty seconds.', 'The whole neck drops.'),
  'hands-knees-turn': then(
    'movement',
    'Ten nods, the neck long.',
    'The head hangs during the turn.',
  ),
  'tuck-bench-edge': first(
    'Tucks lying ten times ten seconds; lies over an edge easily.',
    'The head drops below level, tingling, dizziness.',
  ),
  'bench-edge-arms': then(
    'lever',
    'A minute with the head level, three times a day.',
    'The head drops as the arms go; tingling in an arm.',
  ),
  'bench-edge-weight': then(
    'load',
    'A minute with the arms overhead.',
    'Goes past level, or drops back fast.',
  ),
  'six-way-hold': first('Each way is painless when held still.', 'One way hurts: leave it out.'),
  'four-way-ball': then(
    'support',
    'Three times ten seconds each way at 30 %.',
    'The stack of head, trunk and hips is lost.',
  ),
  'resisted-range': then(
    'range',
    'Five times three seconds each way on the ball.',
    'Pain through the range; any neck injury.',
  ),
  'prone-neck-hold': first(
    'Lies face down; lifts the head level.',
    'Looks up, or the blades rise.',
  ),
  'wall-press': then(
    'support',
    'Three times sixty seconds face down.',
    'The head is pushed forward by its pad; breath held.',
  ),
  'neck-base-press': first(
    'Keeps half a tuck while the chest moves.',
    'Hurts with tuck and pressure.',
  ),
  'rolled-cloth': then(
    'range',
    'Twenty presses without soreness next day.',
    'Tingling, dizziness, any change of sight.',
  ),
  'wedge-lying': first(
    'Lies on the floor; ear level with shoulder.',
    'Tingling, dizziness, change of sight.',
  ),
  'wedge-press': then('load', 'Ten minutes on the wedge are easy.', 'The low back lifts.'),
  'wedge-look-over': then(
    'range',
    'Three times ten presses, no soreness next day.',
    'Arm symptoms, dizziness.',
  ),
  'clasp-and-open': first('Clasps the hands behind.', 'Looks up from the neck.'),
  'block-opening': then(
    'support',
    'Three times fifteen seconds sitting, breathing on.',
    'Pain between the blades that grows.',
  ),
  'blade-set': first('Can feel a blade move under a hand.', 'Shrugs first.'),
  'wall-slide': then(
    'range',
    'Ten times five seconds without a shrug.',
    'Shoulders reach the ears.',
  ),
  'wall-angel': then('lever', 'Two times ten slides, ribs down.', 'The low back arches.'),
  'prone-w': first('Lies face down; sets the blades.', 'The head lifts.'),
  'prone-arms-wide': then('lever', 'Two times ten in a W, neck long.', 'Shrugs.'),
  'prone-y': then('lever', 'Two times ten in a T, thumbs up.', 'Shrugs, or arm symptoms.'),
  'band-row': first('Sets the blades standing.', 'Shoulders shrug.'),
  'band-pull': then('range', 'Three times fifteen rows with the light band.', 'The chin pokes.'),
  'median-slider': SLIDER,
  'median-tensioner': TENSIONER,
  'ulnar-slider': SLIDER,
  'ulnar-tensioner': TENSIONER,
  'radial-slider': SLIDER,
  'radial-tensioner': TENSIONER,
  'sciatic-slider': SLIDER,
  'sciatic-tensioner': TENSIONER,
  'femoral-slider': SLIDER,
  'femoral-tensioner': TENSIONER,
  'face-down-lying': first('Bending back draws symptoms in.', 'Symptoms go further down the leg.'),
  'forearm-prop': then(
    'range',
    'Three minutes face down, settled.',
    'Symptoms go further down the leg.',
  ),
  'press-up': then(
    'range',
    'Three minutes on the forearms, settled.',
    'Symptoms go further down the leg.',
  ),
  'standing-back-bend': then(
    'gravity',
    'Ten press-ups, arms straight, settled.',
    'Symptoms go further down the leg.',
  ),
  'knees-to-chest': first(
    'Bending forward draws symptoms in, or is to be restored.',
    'Symptoms go out.',
  ),
  'sitting-bend': then('gravity', 'Ten times lying, nothing stays.', 'Symptoms go out.'),
  'standing-bend': then(
    'load',
    'Ten times sitting, nothing stays.',
    'Holds at the end; symptoms go out.',
  ),
  'leg-reach': first('Finds neutral on hands and knees.', 'The hips tilt.'),
  'hands-knees-reach': then(
    'support',
    'Six of ten seconds each side, hips level.',
    'The back sags.',
  ),
  'side-plank': first('The shoulder carries; lies on the side.', 'The hips sag.'),
  'side-plank-legs': then('lever', 'Six of ten seconds each side from the knees.', 'The hips sag.'),
  'front-plank-knees': first('The shoulders carry; breathes on.', 'The low back sags.'),
  'front-plank': then('lever', 'Six of fifteen seconds from the knees.', 'The low back sags.'),
  'sit-to-stand': first('Rises with the hands.', 'Throws the trunk up; pain in the knees.'),
  squat: then('range', 'Two times ten without hands, slowly down.', 'The back rounds, heels lift.'),
  clamshell: first('Lies on the side.', 'The pelvis rolls back.'),
  'side-leg-lift': then('lever', 'Two times fifteen, the pelvis still.', 'The leg drifts forward.'),
  'sit-tall': first('Rolls the pelvis out of its backward tilt.', 'Stiff as a soldier.'),
  'posture-reset': then(
    'length of hold',
    'Three times ten seconds, breathing on.',
    'Ache that stays.',
  ),
};

/** What makes an exercise a step of its stairs; null beside the stairs, and of a clinic's own. */
export function rungOf({ id }: { readonly id: string }): Rung | null {
  return RUNGS[id] ?? null;
}
