import {
  type MeasureKindId,
  formatMeasure,
  kindOf,
  roundMeasure,
  summariseTrials,
} from '../measures';
import { type FindingFacts, type LatestMeasure, latestValue } from './facts';
import {
  type FindingRule,
  type Found,
  RANGES,
  TRADE,
  aboutMeasure,
  capital,
  errorOf,
  lesserSideOf,
  words,
} from './rule';

function belowNorm(facts: FindingFacts, one: LatestMeasure): Found[] {
  const { norm } = kindOf(one.kind);
  if (!norm || one.value === null) return [];
  const error = errorOf(facts, one.kind, norm.value) ?? 0;
  if (one.value >= norm.value - error) return [];
  return [
    {
      ...aboutMeasure(one),
      say: `${capital(words(one.kind, one.side))} ${formatMeasure(one.kind, one.value)}, below ${formatMeasure(one.kind, norm.value)} by more than error (${formatMeasure(one.kind, error)}).`,
      source: norm.source,
    },
  ];
}

function aboutAngle(angle: number) {
  return { measure: 'controlled-looking-up' as const, numbers: { value: Math.round(angle) } };
}

/** What a cue did at once: the same movement before and after it. */
function afterCue(facts: FindingFacts, one: LatestMeasure) {
  const { retest, value } = one;
  if (!retest || value === null) return null;
  const after = summariseTrials(retest.trials);
  if (!after) return null;
  const gain = after.mean - value;
  const error = errorOf(facts, one.kind, value);
  return { cue: retest.cue, gain, worked: error !== null && gain >= error };
}

const jutting = (facts: FindingFacts) => facts.measures.filter((one) => one.chinJut);

/** What the range of movement says, with and without a cue. */
export const MOVEMENT_RULES: readonly FindingRule[] = [
  {
    id: 'side-difference',
    source: `Left against right. ${TRADE}`,
    towards: 'held stretches for the short side',
    read: (facts) => RANGES.filter((k) => kindOf(k).sided).flatMap((k) => lesserSideOf(facts, k)),
  },
  {
    id: 'range-below-norm',
    source: 'AMA Guides (memory)',
    towards: 'mobility of the stiff part; the loose part is left alone',
    read: (facts) =>
      facts.measures
        .filter((one) => RANGES.includes(one.kind) && one.kind !== 'controlled-looking-up')
        .flatMap((one) => belowNorm(facts, one)),
  },
  {
    id: 'controlled-looking-up',
    source: `Goal 30–40°. ${TRADE}`,
    towards: 'looking up with backward push',
    read: (facts) => {
      const angle = latestValue(facts, 'controlled-looking-up');
      return angle === null || angle >= 30
        ? []
        : [
            {
              ...aboutAngle(angle),
              say: `Looks up under control to ${Math.round(angle)}°, short of 30°.`,
            },
          ];
    },
  },
  {
    id: 'pain-at-end',
    source: TRADE,
    towards: 'the other directions first; this one short of pain',
    read: (facts) =>
      facts.measures
        .filter((one) => RANGES.includes(one.kind) && (one.painAtEnd ?? 0) >= 3)
        .map((one) => ({
          ...aboutMeasure(one),
          numbers: { pain: one.painAtEnd ?? 0 },
          say: `${capital(words(one.kind, one.side))} hurts at its end, ${one.painAtEnd} of 10.`,
        })),
  },
  {
    id: 'chin-jut',
    source: `Chin jut, cue and re-test. ${TRADE}`,
    towards: 'tuck with small turns',
    read: (facts) =>
      jutting(facts).map((one) => {
        const cue = one.retest?.cue ?? null;
        const said = `${capital(words(one.kind, one.side))}: the chin juts at the end`;
        return {
          ...aboutMeasure(one),
          numbers: {},
          say: cue === null ? `${said}.` : `${said}; it was cued with “${cue}”.`,
          cue,
        };
      }),
  },
  {
    id: 'cue-works',
    source: `Cue and re-test at once. ${TRADE}`,
    towards: 'control before stretching: the cue goes into the programme',
    read: (facts) =>
      facts.measures.flatMap((one) => {
        const after = afterCue(facts, one);
        return after?.worked
          ? [
              {
                ...aboutMeasure(one),
                numbers: { gain: roundMeasure(one.kind, after.gain) },
                say: `${capital(words(one.kind, one.side))} gains ${formatMeasure(one.kind, after.gain)} at once with “${after.cue}”, beyond error: a matter of control.`,
                cue: after.cue,
              },
            ]
          : [];
      }),
  },
  {
    id: 'short-or-stiff',
    source: TRADE,
    towards: '',
    read: (facts) =>
      facts.measures.flatMap((one) => {
        if (one.body?.form !== 'choice') return [];
        const { option } = one.body;
        const leads: Partial<Record<MeasureKindId, string>> = {
          'chest-muscle': 'held chest stretch',
          'upper-back': 'upper-back extension over a support',
          'upper-neck-turn': 'rotation with a cloth, high on the neck',
        };
        const towards = leads[one.kind];
        return towards && (option === 'short' || option === 'stiff')
          ? [
              {
                ...aboutMeasure(one),
                say: `${capital(words(one.kind, one.side))}: ${option}.`,
                towards,
              },
            ]
          : [];
      }),
  },
];
