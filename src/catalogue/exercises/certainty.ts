import { type Exercise } from '@/core/exercise';
import { disagreementsOn } from '@/core/progression';

/** How sure the trade is of an exercise. */
export type Certainty =
  | { readonly kind: 'common practice' }
  /** The sides stand in `DISAGREEMENTS`. */
  | { readonly kind: 'disputed'; readonly about: readonly string[] }
  | { readonly kind: 'studied'; readonly says: string; readonly source: string };

const studied = (says: string, source: string): Certainty => ({
  kind: 'studied',
  says,
  source: `${source} (from memory)`,
});

const LOW_LOAD = studied(
  'Low-load training of the deep flexors, with the shoulder blades, eased headache that comes from the neck.',
  'Jull 2002',
);
const YEAR_OF_NECK = studied(
  'A year of strength or endurance training of the neck lowered long-standing neck pain.',
  'Ylinen 2003',
);
const ONE_DIRECTION = studied(
  'Exercise in the direction that draws symptoms in did better than the other or none.',
  'Long 2004',
);
const TRUNK = studied(
  'Loads the spine little for the work it asks of the trunk; short holds in descending sets are an opinion of the trade.',
  'McGill 1998',
);
const GLIDES = studied(
  'Gliding a nerve helped pain of neck and arm in reviews of small trials.',
  'Basson 2017',
);
const SHOULDER = studied(
  'Strength training of the shoulders lowered neck pain of people at desks.',
  'Andersen 2008',
);

const STUDIED: Readonly<Record<string, Certainty>> = {
  'nod-on-ball': LOW_LOAD,
  'nod-hold-finger-check': LOW_LOAD,
  'tuck-lighten': LOW_LOAD,
  'blade-set': LOW_LOAD,
  'six-way-hold': YEAR_OF_NECK,
  'resisted-range': YEAR_OF_NECK,
  'tuck-lift': YEAR_OF_NECK,
  'press-up': ONE_DIRECTION,
  'standing-back-bend': ONE_DIRECTION,
  'knees-to-chest': ONE_DIRECTION,
  'curl-up': TRUNK,
  'side-plank': TRUNK,
  'hands-knees-reach': TRUNK,
  'median-slider': GLIDES,
  'ulnar-slider': GLIDES,
  'radial-slider': GLIDES,
  'band-row': SHOULDER,
  'prone-arms-wide': SHOULDER,
};

/** Disagreements that are about a family's doses, not about whether to do it. */
const OF_DOSE: ReadonlySet<string> = new Set(['How long to hold', 'How often to think of posture']);

/**
 * How sure the trade is: a study where one is known, else disputed where the trade disagrees about the
 * family, else common practice with no source.
 */
export function certaintyOf({ id, family }: Pick<Exercise, 'id' | 'family'>): Certainty {
  const known = STUDIED[id];
  if (known) return known;
  const about = disagreementsOn(family)
    .map((one) => one.about)
    .filter((one) => !OF_DOSE.has(one));
  return about.length > 0 ? { kind: 'disputed', about } : { kind: 'common practice' };
}
