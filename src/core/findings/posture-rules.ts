import {
  FORWARD_HEAD_BELOW,
  TRUNK_LEADS_FROM,
  formatMeasure,
  heldFromBelow,
  padThickness,
  wedgeFit,
} from '../measures';
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
      return angle < FORWARD_HEAD_BELOW.surely
        ? [{ say: `Forward head: craniovertebral angle ${shown}, under 48°.` }]
        : [{ say: `Perhaps a forward head: craniovertebral angle ${shown}, between 48° and 50°.` }];
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
      return held.total >= TRUNK_LEADS_FROM
        ? [
            {
              say: `Forward head comes mostly from the trunk: ${share} % goes by sitting tall and lifting the chest.`,
              towards: 'upper-back extension and shoulder-blade work lead',
            },
          ]
        : [
            {
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
        ? [{ say: 'On the wedge ear and shoulder are level without anything under the trunk.' }]
        : [
            {
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
      const body = latest(facts, 'step-feel')?.body;
      return body?.form === 'choice' && body.option === 'slides away'
        ? [{ say: 'The step at the base of the neck slides away on looking up.' }]
        : [];
    },
  },
];
