/**
 * What a condition asks to be left out or watched, by traits of exercises. The catalogue gives each
 * exercise its traits. Common practice, no source, unless a row says otherwise; the clinician may
 * go against a flag with a recorded reason.
 */
export const TRAITS = {
  'every neck exercise': 'every neck exercise',
  'ball turns': 'turns with a ball under the head',
  overpressure: 'pressing on at the end of range',
  'low cloth rotation': 'cloth-assisted rotation low in the neck',
  'cloth rotation': 'cloth-assisted rotation',
  'forced end-range turn': 'turns forced to the end',
  'end-range stretch': 'stretches at the end of range',
  wedge: 'lying on a wedge',
  'look up and over': 'looking up and over',
  'rolled cloth': 'the rolled-cloth curve drill',
  'bench edge': 'the bench edge',
  block: 'lying over a block',
  extension: 'looking up beyond the controlled angle',
  'head rolls': 'whole-circle head rolls',
  'weighted lift': 'weighted head lifts',
  'straight-arm overhead': 'straight-arm overhead work',
  tensioner: 'nerve tensioners before sliders',
  'under-jaw resistance': 'resistance under the jaw',
  'chin-held ball': 'the chin-held ball',
  'long effortful hold': 'holds over 30 s at 30 % effort or more',
  'breath holding': 'any breath holding',
  'loaded spine bending': 'loaded bending of the spine',
  'standing bend': 'the standing bend',
  'base-of-neck press': 'the base-of-neck press',
  'press-up': 'press-ups',
  'standing back-bend': 'standing back-bends',
  'face-down': 'lying face down',
  'long flat on back': 'lying long flat on the back',
  'throat finger check': 'the finger check beside the throat',
  'head down': 'head-down positions',
  straining: 'straining and long hard holds',
  overhead: 'overhead work',
  'hands and knees': 'hands and knees',
  kneeling: 'kneeling',
  'front support': 'front support on the arms',
  'latex band': 'bands made of latex',
  plank: 'planks and other long holds of the whole trunk',
  'brisk activity': 'jogging and other brisk activity',
  walk: 'a walk of some minutes',
  warmth: 'warm packs',
  cold: 'cold packs',
  'region of the surgery': 'anything, while the region of the surgery is not written',
  'neck region': 'everything for the neck and the upper back',
  'arm region': 'everything for the shoulder and the arm',
  'back region': 'everything for the low back',
  'leg region': 'everything for the leg',
  'bruising pressure': 'hard pressure on one place',
  /** No precaution flags it: it is why strengthening by it may be daily. */
  'light control': 'light work for control',
  'resisted through range': 'resistance through the whole range',
} as const;
export type Trait = keyof typeof TRAITS;

export type Precaution = {
  readonly name: string;
  readonly flags: readonly Trait[];
  /** What to know beside the flags. */
  readonly note: string;
};

export const PRECAUTIONS = {
  'neck injury': {
    name: 'Neck injury not cleared',
    flags: ['every neck exercise'],
    note: 'An injured neck can be made worse by exercising it.',
  },
  'after back injury': {
    name: 'After an injury to the back',
    flags: ['loaded spine bending', 'standing bend', 'straining'],
    note: 'Build up slowly; stop at anything new in the legs.',
  },
  nausea: {
    name: 'Nausea',
    flags: ['head rolls', 'forced end-range turn', 'head down'],
    note: 'Ask at every visit whether it comes with dizziness, headache or a new medicine.',
  },
  'after neck injury': {
    name: 'After a neck injury',
    flags: ['resisted through range', 'forced end-range turn', 'overpressure'],
    note: 'Cleared; build up slowly and stop at anything new.',
  },
  'cord or artery signs': {
    name: 'Signs of cord or artery trouble',
    flags: ['every neck exercise'],
    note: 'No neck exercise before a medical opinion.',
  },
  'low neck disc': {
    name: 'Disc trouble low in the neck',
    flags: [
      'low cloth rotation',
      'forced end-range turn',
      'wedge',
      'look up and over',
      'rolled cloth',
      'bench edge',
      'overpressure',
    ],
    note: 'Looking back narrows the nerve’s exit; work the stiff joints above and below.',
  },
  instability: {
    name: 'Instability, inflammatory arthritis or hypermobility',
    flags: [
      'end-range stretch',
      'cloth rotation',
      'wedge',
      'rolled cloth',
      'block',
      'bench edge',
      'extension',
      'head rolls',
      'weighted lift',
      'ball turns',
      'overpressure',
    ],
    note: 'Never to the end of range; looking up only as far as it is controlled.',
  },
  'arm symptoms': {
    name: 'Arm symptoms',
    flags: ['straight-arm overhead', 'tensioner', 'wedge', 'look up and over', 'bench edge'],
    note: 'Sliders before tensioners; elbows bent overhead.',
  },
  jaw: {
    name: 'Jaw trouble',
    flags: ['under-jaw resistance', 'chin-held ball'],
    note: 'Lips together, teeth apart.',
  },
  'pressure or heart': {
    name: 'High blood pressure or heart disease',
    flags: ['long effortful hold', 'breath holding', 'plank', 'brisk activity', 'walk'],
    note: 'Until the pressure is recorded and controlled. Local policy decides.',
  },
  osteoporosis: {
    name: 'Osteoporosis',
    flags: [
      'loaded spine bending',
      'standing bend',
      'block',
      'bench edge',
      'base-of-neck press',
      'cloth rotation',
      'ball turns',
      'overpressure',
    ],
    note: 'Long steroid treatment counts as well.',
  },
  'lumbar narrowing': {
    name: 'Lumbar stenosis or slip',
    flags: ['press-up', 'standing back-bend'],
    note: 'Bending back narrows the canal further.',
  },
  'late pregnancy': {
    name: 'Second half of pregnancy',
    flags: ['face-down', 'long flat on back'],
    note: 'Lying on the side or sitting instead.',
  },
  dizziness: {
    name: 'Dizziness on looking up or turning',
    flags: [
      'extension',
      'wedge',
      'bench edge',
      'head rolls',
      'cloth rotation',
      'ball turns',
      'overpressure',
      'brisk activity',
      'walk',
    ],
    note: 'Stop at any dizziness, and say so.',
  },
  'carotid or fainting': {
    name: 'Disease of the neck arteries, or fainting',
    flags: ['throat finger check'],
    note: 'No pressure beside the windpipe.',
  },
  concussion: {
    name: 'Recent concussion',
    flags: ['long effortful hold', 'head down', 'brisk activity'],
    note: 'Light and short; stop at headache or dizziness.',
  },
  straining: {
    name: 'Eye disease or hernia',
    flags: ['straining', 'long effortful hold', 'breath holding', 'plank'],
    note: 'Breathe through every hold.',
  },
  'limb joints': {
    name: 'Shoulder, wrist or knee trouble',
    flags: ['overhead', 'hands and knees', 'kneeling', 'front support', 'brisk activity'],
    note: 'Choose another position.',
  },
  latex: {
    name: 'Latex allergy',
    flags: ['latex band'],
    note: 'Latex-free bands only.',
  },
  'numb skin': {
    name: 'Skin that feels heat or cold badly',
    flags: ['warmth', 'cold'],
    note: 'Burns and frostbite are not felt there.',
  },
  'poor circulation': {
    name: 'Poor circulation in arms or legs',
    flags: ['warmth', 'cold'],
    note: 'Neither warmth nor cold on that limb.',
  },
  'cold allergy': {
    name: 'Cold brings out a rash or white fingers',
    flags: ['cold'],
    note: 'Warmth instead, or nothing.',
  },
  surgery: {
    name: 'Recent surgery, region not written',
    flags: ['region of the surgery'],
    note: 'By the surgeon’s protocol only.',
  },
  'surgery neck': {
    name: 'Recent surgery on the neck or upper back',
    flags: ['neck region'],
    note: 'By the surgeon’s protocol only.',
  },
  'surgery arm': {
    name: 'Recent surgery on the shoulder or arm',
    flags: ['arm region'],
    note: 'By the surgeon’s protocol only.',
  },
  'surgery back': {
    name: 'Recent surgery on the low back',
    flags: ['back region'],
    note: 'By the surgeon’s protocol only.',
  },
  'surgery leg': {
    name: 'Recent surgery on the hip or leg',
    flags: ['leg region'],
    note: 'By the surgeon’s protocol only.',
  },
  'surgery elsewhere': {
    name: 'Recent surgery elsewhere',
    flags: ['straining', 'front support', 'breath holding'],
    note: 'By the surgeon’s protocol only.',
  },
  thinners: {
    name: 'Blood thinners',
    flags: ['bruising pressure'],
    note: 'Bruises easily; any blow to the head is for a physician at once.',
  },
  everybody: {
    name: 'Every patient',
    flags: ['head rolls'],
    note: 'Some warm up with whole-circle rolls, others avoid them: off until a reason is written.',
  },
} as const satisfies Readonly<Record<string, Precaution>>;
export type PrecautionId = keyof typeof PRECAUTIONS;

/** What holds for whoever it is, screened or not. */
export const FOR_EVERYBODY: readonly PrecautionId[] = ['everybody'];

/** What a precaution asks to leave out or watch, in words. */
export function flagsInWords(id: PrecautionId): string {
  return PRECAUTIONS[id].flags.map((flag: Trait) => TRAITS[flag]).join(', ');
}
