import type { Family } from '../exercise';
import { type FindingFacts, HELD_BY, latestValue } from '../findings';
import type { MeasureKindId } from '../measures';
import type { RepeatedMovement, TensionTest } from '../symptoms';

/** Which families a finding asks for, in the order they help; empty where care comes first. */
export type ChoiceRule = {
  /** The rule of `findings` that found it. */
  readonly finding: string;
  /** Only findings about one of these; whatever the rule found where it is left out. */
  readonly only?: {
    readonly measure?: readonly MeasureKindId[];
    readonly direction?: readonly RepeatedMovement[];
    readonly part?: readonly (TensionTest | (typeof HELD_BY)[keyof typeof HELD_BY])[];
  };
  readonly families: readonly Family[];
  readonly because: string;
  /** Steps above the first on which to start, from the measures; 0 the easiest. */
  readonly start: (facts: FindingFacts) => { readonly above: number; readonly because: string };
};

const EASIEST = { above: 0, because: 'No measure says that more can be done properly.' };
const first = () => EASIEST;

/** Half of what a step holds is enough to start on it. Common practice, no source. */
function byFlexorHold(facts: FindingFacts) {
  const held = latestValue(facts, 'deep-flexor-hold');
  if (held === null) return EASIEST;
  const steps: readonly (readonly [number, number])[] = [
    [24, 4],
    [10, 3],
    [5, 1],
  ];
  const above = steps.find(([seconds]) => held >= seconds)?.[1] ?? 0;
  return { above, because: `The lying lift was held ${Math.round(held)} s.` };
}

function byExtensorHold(facts: FindingFacts) {
  const held = latestValue(facts, 'neck-extensor-hold');
  if (held === null) return EASIEST;
  return {
    above: held >= 30 ? 3 : held >= 10 ? 2 : 0,
    because: `The neck extensors held ${Math.round(held)} s.`,
  };
}

function byTrunkHold(facts: FindingFacts) {
  const held = latestValue(facts, 'trunk-extensor-hold');
  return held === null
    ? EASIEST
    : { above: held >= 60 ? 3 : 0, because: `The trunk extensors held ${Math.round(held)} s.` };
}

/**
 * From findings to families. Common practice, no source: weak deep flexors → nod and tuck; weak
 * extensors → long holds; weak side → side holds; short → held stretches; stiff upper back →
 * extension over a support; sensitive nerve → sliders; low back → one direction, or endurance.
 */
export const CHOICE_RULES: readonly ChoiceRule[] = [
  {
    finding: 'deep-flexors',
    families: ['Nod and tuck, lying'],
    because: 'Weak deep flexors: the nod and tuck stairs.',
    start: byFlexorHold,
  },
  {
    finding: 'nod-test',
    families: ['Nod and tuck, lying'],
    because: 'The nod is not controlled yet: the nod and tuck stairs from low down.',
    start: (facts) => ({
      above: Math.min(1, byFlexorHold(facts).above),
      because: 'Control before load.',
    }),
  },
  {
    finding: 'forward-head',
    families: ['Tuck, upright', 'Shoulder blade', 'Upper back'],
    because:
      'A forward head wants neck, blades and upper back together: tucks alone rarely fix it.',
    start: first,
  },
  {
    finding: 'held-from-below',
    only: { part: [HELD_BY.trunk] },
    families: ['Upper back', 'Shoulder blade', 'Posture and breathing'],
    because: 'The head comes back when the trunk does: upper back and blades lead.',
    start: () => ({ above: 1, because: 'Blades together and the upper back open, by oneself.' }),
  },
  {
    finding: 'held-from-below',
    only: { part: [HELD_BY.neck] },
    families: ['Tuck, upright', 'Neck hold'],
    because: 'The head stays forward whatever the trunk does: neck strength leads.',
    start: byExtensorHold,
  },
  {
    finding: 'wall-gap',
    families: ['Neck hold'],
    because: 'The gap is the thickness of the pad for a wall press.',
    start: () => ({ above: 3, because: 'The wall press, with a pad of that thickness.' }),
  },
  {
    finding: 'wall-press-eases',
    families: ['Neck hold'],
    because: 'The press eased it: it points to a tension cause and chooses the exercise.',
    start: () => ({ above: 3, because: 'The wall press, also when a headache is coming on.' }),
  },
  {
    finding: 'wedge-fit',
    families: ['Curve of the neck'],
    because: 'The wedge was fitted to this body.',
    start: () => ({ above: 2, because: 'Wedge lying, with the blanket.' }),
  },
  {
    finding: 'side-difference',
    families: ['Stretch', 'Neck mobility'],
    because: 'Tests short → lengthen the short side.',
    start: first,
  },
  {
    finding: 'short-or-stiff',
    only: { measure: ['upper-back'] },
    families: ['Upper back'],
    because: 'Stiff upper back: extension over a support.',
    start: () => ({ above: 3, because: 'Opening over a block.' }),
  },
  {
    finding: 'short-or-stiff',
    only: { measure: ['chest-muscle'] },
    families: ['Stretch'],
    because: 'Short pectorals: a held chest stretch.',
    start: () => ({ above: 2, because: 'The chest stretch.' }),
  },
  {
    finding: 'short-or-stiff',
    only: { measure: ['upper-neck-turn'] },
    families: ['Neck mobility'],
    because: 'Stiff upper neck: rotation with a cloth, high on the neck.',
    start: () => ({ above: 3, because: 'The cloth-assisted turn.' }),
  },
  {
    finding: 'range-below-norm',
    families: ['Neck mobility', 'Stretch'],
    because: 'Stiff: mobility of the stiff part; the loose part is left alone.',
    start: first,
  },
  {
    finding: 'controlled-looking-up',
    families: ['Neck mobility'],
    because: 'Looking up is trained only as high as the backward push is kept.',
    start: () => ({ above: 2, because: 'Looking up with a backward push.' }),
  },
  {
    finding: 'step-slides',
    families: ['Neck mobility', 'Tuck against resistance'],
    because: 'The step slides: control of looking up, then strength with the tuck kept.',
    start: () => ({ above: 2, because: 'Looking up with a backward push.' }),
  },
  {
    finding: 'chin-jut',
    families: ['Tuck, upright'],
    because: 'The chin juts at the end of a turn: tuck with small turns.',
    start: () => ({ above: 3, because: 'Tuck with a small turn and nod.' }),
  },
  {
    finding: 'cue-works',
    families: ['Tuck, upright'],
    because: 'A cue mended it: control before stretching.',
    start: first,
  },
  {
    finding: 'pain-at-end',
    families: ['Neck mobility'],
    because: 'Painful at the end: move short of it, and the other directions.',
    start: first,
  },
  {
    finding: 'weak-side',
    families: ['Neck hold'],
    because: 'Tests weak → strengthen: side holds, hand-resisted or against a band.',
    start: (facts) => ({ ...byExtensorHold(facts), above: 0 }),
  },
  {
    finding: 'trunk-ratios',
    families: ['Trunk endurance'],
    because: 'Endurance out of balance: a stiff, enduring trunk with a neutral spine.',
    start: byTrunkHold,
  },
  {
    finding: 'directional-preference',
    only: { direction: ['back-bend standing', 'press-up lying'] },
    families: ['Bending back'],
    because: 'Bending back draws symptoms in: only that direction.',
    start: first,
  },
  {
    finding: 'directional-preference',
    only: { direction: ['bend forward lying', 'bend forward standing'] },
    families: ['Bending forward'],
    because: 'Bending forward draws symptoms in: only that direction.',
    start: first,
  },
  {
    finding: 'directional-preference',
    only: { direction: ['tuck', 'look up with tuck'] },
    families: ['Tuck, upright'],
    because: 'Tucking draws symptoms in: only that direction.',
    start: first,
  },
  ...(
    [
      ['Median nerve', 'median nerve tension'],
      ['Ulnar nerve', 'ulnar nerve tension'],
      ['Radial nerve', 'radial nerve tension'],
    ] as const
  ).map(([family, test]) => ({
    finding: 'nerve-tension',
    only: { part: [test] },
    families: [family],
    because: 'A sensitive nerve: sliders first, tensioners only later.',
    start: first,
  })),
  {
    finding: 'nerve-tension',
    only: { part: ['straight leg raise', 'slump sitting'] },
    families: ['Sciatic nerve'],
    because: 'A sensitive nerve: sliders first, tensioners only later.',
    start: first,
  },
];
