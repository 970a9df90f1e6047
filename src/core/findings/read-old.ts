import { KIND_IDS, type MeasureKindId } from '../measures';
import { REPEATED_MOVEMENTS } from '../symptoms';
import { ABOUT_NOTHING, type BodySide, type FindingAbout, HELD_BY, OWN_FINDING } from './about';

/** What a finding was before its facts were kept: a key, and the table's own words of the time. */
export type OldFinding = {
  readonly key: string;
  /** What the table said, never the clinician's words; null for an added one. */
  readonly proposed: string | null;
  readonly towards: string;
};

type Read = (apart: string, old: OldFinding) => Partial<FindingAbout> | null;

const measure = (kind: MeasureKindId): Read => {
  const about = { measure: kind };
  return () => about;
};

/** "neck-turn left": a kind, with the side where it has one. */
const kindAndSide: Read = (apart) => {
  const [kind, side, more] = apart.split(' ');
  const known = KIND_IDS.find((id) => id === kind);
  if (!known || more !== undefined || (side !== undefined && !isSide(side))) return null;
  return { measure: known, side: side ?? null };
};

/** A difference kept its side only in the table's sentence, which begins with it. */
const lesserSide: Read = (apart, { proposed }) => {
  const known = KIND_IDS.find((id) => id === apart);
  const side = proposed?.split(' ')[0]?.toLowerCase();
  return known && isSide(side) ? { measure: known, side } : null;
};

/** "C7 right", "median nerve tension left": what, and the side as its last word. */
const partAndSide: Read = (apart) => {
  const side = apart.split(' ').at(-1);
  return isSide(side)
    ? { measure: 'nerve-examination', part: apart.slice(0, -side.length - 1), side }
    : null;
};

const heldBy: Read = (_, { towards }) => {
  if (towards === 'upper-back extension and shoulder-blade work lead')
    return { measure: 'held-from-below', part: HELD_BY.trunk };
  return towards === 'neck strength leads'
    ? { measure: 'held-from-below', part: HELD_BY.neck }
    : null;
};

const RULES: Readonly<Record<string, Read>> = {
  [OWN_FINDING]: () => ({}),
  'forward-head': measure('craniovertebral-angle'),
  'held-from-below': heldBy,
  'wall-gap': measure('wall-gap'),
  'wedge-fit': measure('wedge-fit'),
  'step-slides': measure('step-feel'),
  'side-difference': lesserSide,
  'range-below-norm': kindAndSide,
  'controlled-looking-up': measure('controlled-looking-up'),
  'pain-at-end': kindAndSide,
  'chin-jut': kindAndSide,
  'cue-works': kindAndSide,
  'short-or-stiff': kindAndSide,
  'deep-flexors': measure('deep-flexor-hold'),
  'nod-test': measure('nod-test'),
  'trunk-ratios': (apart) => ({ part: apart }),
  'weak-side': lesserSide,
  'nerve-levels': partAndSide,
  'nerve-tension': partAndSide,
  'limb-reach': (apart) => ({ measure: 'limb-symptoms', part: apart }),
  'directional-preference': (apart) => {
    const direction = REPEATED_MOVEMENTS.find((movement) => movement === apart);
    return direction ? { measure: 'limb-symptoms', direction } : null;
  },
  'wall-press-eases': measure('wall-press-headache'),
  activities: measure('specific-activities'),
  'index-band': (apart) => ({ measure: apart === 'neck' ? 'neck-index' : 'back-index' }),
  irritability: () => ({}),
  'blood-pressure': measure('blood-pressure'),
};

/**
 * What a finding from before its facts were kept is about, read by the rules of its time. The
 * clinician's own words are never read; its numbers were not kept.
 *
 * @returns null where it cannot be told: the clinician is asked
 * @example readOldFinding({ key: 'nerve-tension: slump sitting left', proposed: null, towards: '' })
 * // { rule: 'nerve-tension', measure: 'nerve-examination', part: 'slump sitting', side: 'left', … }
 */
export function readOldFinding(old: OldFinding): FindingAbout | null {
  const cut = old.key.indexOf(': ');
  const rule = cut === -1 ? old.key : old.key.slice(0, cut);
  const about = RULES[rule]?.(cut === -1 ? '' : old.key.slice(cut + 2), old) ?? null;
  return about && { ...ABOUT_NOTHING, ...about, rule, numbers: null };
}

function isSide(word: string | undefined): word is BodySide {
  return word === 'left' || word === 'right';
}
