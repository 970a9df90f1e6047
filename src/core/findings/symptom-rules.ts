import { ACTIVITY_CHANGE, backIndexBand, neckIndexBand } from '../measures';
import { PRESSURE_BLOCK, PRESSURE_CAUTION } from '../screen';
import {
  FEELINGS,
  NERVE_LEVELS,
  REFLEXES,
  directionalPreference,
  furthestReach,
  isRegion,
  positiveTension,
} from '../symptoms';
import { latest, latestValue } from './facts';
import { type FindingRule, TRADE, capital } from './rule';

/** What nerves, limbs, function and history say. */
export const SYMPTOM_RULES: readonly FindingRule[] = [
  {
    id: 'nerve-levels',
    source: 'Examination by level.',
    towards: '',
    read: (facts) => {
      const body = latest(facts, 'nerve-examination')?.body;
      if (body?.form !== 'nerve') return [];
      return body.levels.flatMap(({ level, side, strength, feeling, reflex }) => {
        const about = NERVE_LEVELS.find((row) => row.level === level);
        const parts = [
          strength !== null && strength < 5 ? `strength ${strength} of 5 (${about?.moves})` : '',
          feeling !== null && feeling !== 'normal' ? `feeling ${feeling} (${about?.feels})` : '',
          reflex !== null && reflex !== 'normal' ? `reflex ${reflex}` : '',
        ].filter((part) => part !== '');
        return parts.length === 0
          ? []
          : [
              {
                apart: `${level} ${side}`,
                measure: 'nerve-examination' as const,
                part: level,
                side,
                numbers: {
                  ...(strength === null ? {} : { strength }),
                  ...(feeling === null ? {} : { feeling: FEELINGS.indexOf(feeling) }),
                  ...(reflex === null ? {} : { reflex: REFLEXES.indexOf(reflex) }),
                },
                say: `${level} ${side}: ${parts.join(', ')}.`,
              },
            ];
      });
    },
  },
  {
    id: 'nerve-tension',
    source: TRADE,
    towards: 'nerve sliders; tensioners only later',
    read: (facts) => {
      const body = latest(facts, 'nerve-examination')?.body;
      return body?.form !== 'nerve'
        ? []
        : positiveTension(body).map(({ test, side }) => ({
            apart: `${test} ${side}`,
            measure: 'nerve-examination',
            part: test,
            side,
            say: `${capital(test)} ${side}: positive.`,
          }));
    },
  },
  {
    id: 'limb-reach',
    source: 'Further down the limb is worse, nearer to the spine better.',
    towards: '',
    read: (facts) => {
      const body = latest(facts, 'limb-symptoms')?.body;
      return body?.form !== 'body'
        ? []
        : furthestReach(body.regions.filter(isRegion))
            .filter((reach) => reach.order > 1)
            .map((reach) => ({
              apart: reach.chain,
              measure: 'limb-symptoms',
              part: reach.chain,
              numbers: { order: reach.order },
              say: `Felt down the ${reach.chain} as far as the ${reach.part}.`,
            }));
    },
  },
  {
    id: 'directional-preference',
    source: `Repeated movements. ${TRADE}`,
    towards: 'repeated movements, only the direction that draws symptoms in',
    read: (facts) => {
      const body = latest(facts, 'limb-symptoms')?.body;
      return body?.form !== 'body'
        ? []
        : directionalPreference(body.movements).map((movement) => ({
            apart: movement,
            measure: 'limb-symptoms',
            direction: movement,
            say: `Repeated “${movement}” draws the symptoms in.`,
          }));
    },
  },
  {
    id: 'wall-press-eases',
    source: TRADE,
    towards: 'wall press, also when a headache is coming on',
    read: (facts) => {
      const body = latest(facts, 'wall-press-headache')?.body;
      return body?.form === 'choice' && body.option === 'eases'
        ? [
            {
              measure: 'wall-press-headache',
              say: 'A wall press eases the headache: it points to tension.',
            },
          ]
        : [];
    },
  },
  {
    id: 'activities',
    source: `Patient-Specific Functional Scale (Stratford 1995); ${ACTIVITY_CHANGE.one} on one activity is detectable.`,
    towards: 'tie the exercises to this activity',
    read: (facts) => {
      const body = latest(facts, 'specific-activities')?.body;
      if (body?.form !== 'activities') return [];
      const worst = [...body.activities].sort((a, b) => a.score - b.score)[0];
      return worst && worst.score < 8
        ? [
            {
              measure: 'specific-activities',
              part: worst.name,
              numbers: { score: worst.score },
              say: `Cannot yet as before: ${worst.name}, ${worst.score} of 10.`,
            },
          ]
        : [];
    },
  },
  {
    id: 'index-band',
    source: 'Neck Disability Index (Vernon & Mior 1991), Oswestry (Fairbank & Pynsent 2000).',
    towards: '',
    read: (facts) => {
      const neck = latestValue(facts, 'neck-index');
      const back = latestValue(facts, 'back-index');
      return [
        ...(neck !== null && neck >= 15
          ? [
              {
                apart: 'neck',
                measure: 'neck-index' as const,
                numbers: { value: Math.round(neck) },
                say: `Neck index ${Math.round(neck)} of 50: ${neckIndexBand(neck)}.`,
              },
            ]
          : []),
        ...(back !== null && back > 20
          ? [
              {
                apart: 'back',
                measure: 'back-index' as const,
                numbers: { value: Math.round(back) },
                say: `Low-back index ${Math.round(back)} %: ${backIndexBand(back)}.`,
              },
            ]
          : []),
      ];
    },
  },
  {
    id: 'irritability',
    source: `How little provokes it, how bad, how long. ${TRADE}`,
    towards: 'start low: fewer, shorter, well short of pain',
    read: ({ irritability }) =>
      irritability && irritability.level === 'high'
        ? [
            {
              numbers: { points: irritability.points },
              say: `Highly irritable: ${irritability.reasons.join(', ')}.`,
            },
          ]
        : [],
  },
  {
    id: 'blood-pressure',
    source: 'From memory; local policy decides.',
    towards: '',
    read: (facts) => {
      const body = latest(facts, 'blood-pressure')?.body;
      if (body?.form !== 'pressure') return [];
      const shown = `${body.systolic}/${body.diastolic}`;
      const about = {
        measure: 'blood-pressure' as const,
        numbers: { systolic: body.systolic, diastolic: body.diastolic },
      };
      const over = ([systolic, diastolic]: readonly [number, number]) =>
        body.systolic > systolic || body.diastolic > diastolic;
      if (over(PRESSURE_BLOCK))
        return [
          {
            ...about,
            say: `Blood pressure ${shown}, above ${PRESSURE_BLOCK.join('/')}: a medical opinion first; screen again with it.`,
          },
        ];
      return body.systolic >= PRESSURE_CAUTION[0] || body.diastolic >= PRESSURE_CAUTION[1]
        ? [
            {
              ...about,
              say: `Blood pressure ${shown}, from ${PRESSURE_CAUTION.join('/')}: no long or hard holds.`,
            },
          ]
        : [];
    },
  },
];
