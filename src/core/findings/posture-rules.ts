import {
  FORWARD_HEAD_BELOW,
  TRUNK_LEADS_FROM,
  formatMeasure,
  heldFromBelow,
  padThickness,
  roundMeasure,
  stepSlides,
  wedgeFit,
} from '../measures';
import { HELD_BY } from './about';
import { latest, latestValue } from './facts';
import { type FindingRule, TRADE } from './rule';

/** What the side photo and the tests below it say. */
export const POSTURE_RULES: readonly FindingRule[] = [
  {
    id: 'forward-head',
    source: `Craniovertebral angle (Watson & Trott 1993); under 48–50° is called forward head. ${TRADE}`,
    towards: 'nod and chin-tuck ladder, shoulder blades and upper back together',
    read: (facts) => {
      const angle = latestValue(facts, 'craniovertebral-angle');
      if (angle === null || angle >= FORWARD_HEAD_BELOW.perhaps) return [];
      const shown = formatMeasure('craniovertebral-angle', angle);
      const about = {
        measure: 'craniovertebral-angle' as const,
        numbers: { value: roundMeasure('craniovertebral-angle', angle) },
      };
      return angle < FORWARD_HEAD_BELOW.surely
        ? [{ ...about, say: `Forward head: craniovertebral angle ${shown}, under 48°.` }]
        : [
            {
              ...about,
              say: `Perhaps a forward head: craniovertebral angle ${shown}, between 48° and 50°.`,
            },
          ];
    },
  },
  {
    id: 'held-from-below',
    source: TRADE,
    towards: '',
    read: (facts) => {
      const body = latest(facts, 'held-from-below')?.body;
      if (body?.form !== 'offsets') return [];
      const held = heldFromBelow(body);
      if (held.kind === 'within error') return [];
      const share = Math.round(held.total);
      const about = { measure: 'held-from-below' as const, numbers: { share } };
      return held.total >= TRUNK_LEADS_FROM
        ? [
            {
              ...about,
              part: HELD_BY.trunk,
              say: `Forward head comes mostly from the trunk: ${share} % goes by sitting tall and lifting the chest.`,
              towards: 'upper-back extension and shoulder-blade work lead',
            },
          ]
        : [
            {
              ...about,
              part: HELD_BY.neck,
              say: `Forward head stays mostly in the neck: only ${share} % goes by sitting tall and lifting the chest.`,
              towards: 'neck strength leads',
            },
          ];
    },
  },
  {
    id: 'wall-gap',
    source: TRADE,
    towards: 'wall press with a pad of that thickness',
    read: (facts) => {
      const gap = latestValue(facts, 'wall-gap');
      return gap === null || gap < 20
        ? []
        : [
            {
              measure: 'wall-gap',
              numbers: { value: Math.round(gap), pad: padThickness(gap) },
              say: `Head ${Math.round(gap)} mm off the wall in its own neutral: pad for wall presses ${padThickness(gap)} mm, no thicker.`,
            },
          ];
    },
  },
  {
    id: 'wedge-fit',
    source: TRADE,
    towards: 'wedge lying, with the blanket',
    read: (facts) => {
      const body = latest(facts, 'wedge-fit')?.body;
      if (body?.form !== 'wedge') return [];
      const fit = wedgeFit(body);
      return fit.under === 'nothing'
        ? [
            {
              measure: 'wedge-fit',
              numbers: { thickness: 0 },
              say: 'On the wedge ear and shoulder are level without anything under the trunk.',
            },
          ]
        : [
            {
              measure: 'wedge-fit',
              part: fit.under,
              numbers: { thickness: Math.round(fit.thickness) },
              say: `On the wedge ear and shoulder are level with ${Math.round(fit.thickness)} mm under the ${fit.under}.`,
            },
          ];
    },
  },
  {
    id: 'step-slides',
    source: TRADE,
    towards: 'looking up only as far as the backward push is kept',
    read: (facts) => {
      return stepSlides(latest(facts, 'step-feel')?.body ?? null)
        ? [
            {
              measure: 'step-feel',
              say: 'The step at the base of the neck slides away on looking up.',
            },
          ]
        : [];
    },
  },
];
