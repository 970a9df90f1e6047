import {
  CUFF_HOLDS,
  DEEP_FLEXOR_REFERENCE,
  type MeasureKindId,
  TRUNK_RATIO_SOURCE,
  formatMeasure,
  roundMeasure,
  trunkRatios,
} from '../measures';
import { latest, latestValue } from './facts';
import { type FindingRule, TRADE, lesserSideOf } from './rule';

const sidedStrength: readonly MeasureKindId[] = ['strength-side', 'strength-turn'];

/** What endurance, control and strength say. */
export const STRENGTH_RULES: readonly FindingRule[] = [
  {
    id: 'deep-flexors',
    source: 'Domenech 2011 without pain, Harris 2005 with neck pain (memory).',
    towards: 'nod and chin-tuck ladder',
    read: (facts) => {
      const value = latestValue(facts, 'deep-flexor-hold');
      const { men, women, withNeckPain } = DEEP_FLEXOR_REFERENCE;
      const reference = facts.sex === 'female' ? women : men;
      if (value === null || value >= reference) return [];
      const shown = formatMeasure('deep-flexor-hold', value);
      const whose = { female: `women (${women} s)`, male: `men (${men} s)` } as const;
      const below =
        facts.sex !== null
          ? `below the reference for ${whose[facts.sex]}`
          : value < women
            ? `below the reference (${women}–${men} s)`
            : `below the reference for ${whose.male}, not for ${whose.female}`;
      return [
        {
          measure: 'deep-flexor-hold',
          numbers: { value: roundMeasure('deep-flexor-hold', value) },
          say: `Deep neck flexors: ${shown}, ${below}${value < withNeckPain ? `, and below people with neck pain (${withNeckPain} s)` : ''}.`,
        },
      ];
    },
  },
  {
    id: 'nod-test',
    source: 'Graded nod test (Jull 2008, memory): all targets to 30 mmHg, ten holds.',
    towards: 'nod and chin-tuck ladder',
    read: (facts) => {
      const body = latest(facts, 'nod-test')?.body;
      if (body?.form !== 'cuff' || (body.target >= 26 && body.holds >= CUFF_HOLDS)) return [];
      return [
        {
          measure: 'nod-test',
          numbers: { target: body.target, holds: body.holds },
          say: `Graded nod: ${body.holds} of ${CUFF_HOLDS} holds at ${body.target} mmHg, index ${(body.target - 20) * body.holds} of 100.`,
        },
      ];
    },
  },
  {
    id: 'trunk-ratios',
    source: TRUNK_RATIO_SOURCE,
    towards: 'trunk endurance with a neutral spine',
    read: (facts) =>
      trunkRatios({
        flexor: latestValue(facts, 'trunk-flexor-hold'),
        extensor: latestValue(facts, 'trunk-extensor-hold'),
        left: latestValue(facts, 'side-hold', 'left'),
        right: latestValue(facts, 'side-hold', 'right'),
      })
        .filter((row) => row.unusual)
        .map((row) => ({
          apart: row.name,
          part: row.name,
          numbers: { ratio: Number(row.ratio.toFixed(2)) },
          say: `Trunk endurance, ${row.name.toLowerCase()}: ${row.ratio.toFixed(2)} (healthy adults ${row.limit}).`,
        })),
  },
  {
    id: 'weak-side',
    source: `Left against right. ${TRADE}`,
    towards: 'banded or hand-resisted side holds',
    read: (facts) => sidedStrength.flatMap((kind) => lesserSideOf(facts, kind)),
  },
];
