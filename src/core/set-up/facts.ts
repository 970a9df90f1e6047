import type { AskingFinding } from '../choose';
import type { Dose } from '../dose';
import type { Exercise } from '../exercise';
import type { LatestMeasure } from '../findings';
import { forceBand } from '../load';
import { padThickness } from '../measures';
import type { SetUp, SetUpFact } from '../records';
import { type LocalDate, toTenth } from '../units';

/** The newest measurement of a kind and side, with its name in the record. */
export type SetUpMeasure = Pick<LatestMeasure, 'kind' | 'side' | 'value' | 'body'> & {
  readonly id: string;
  readonly on: LocalDate;
};

/** A confirmed finding with the cue that worked at the re-test, where there is one. */
export type CueFinding = AskingFinding & {
  readonly id: string;
  readonly on: LocalDate;
  readonly cue: string | null;
};

export type SetUpFacts = {
  readonly measures: readonly SetUpMeasure[];
  readonly findings: readonly CueFinding[];
};

/**
 * What was measured of this patient for the set-up of an exercise, as it stands now: the pad as thick
 * as the wall gap, the blanket that levels ear and shoulder, the angle of controlled looking up, the
 * push that an effort means, the band's stretch, the cue that worked at the re-test. Common practice,
 * no source.
 *
 * @example measuredSetUp(wallPress, dose, { measures: [gapOf47mm], … }) // pad 4.5 cm
 */
export function measuredSetUp(
  exercise: Pick<Exercise, 'setUps' | 'strength' | 'family'>,
  dose: Dose | null,
  { measures, findings }: SetUpFacts,
): SetUp[] {
  const { setUps, family } = exercise;
  const from = (measure: SetUpMeasure, fact: SetUpFact | null): SetUp[] =>
    fact === null ? [] : [{ fact, from: { kind: 'measurement', id: measure.id, on: measure.on } }];
  return [
    ...measures.flatMap((measure) => {
      switch (measure.kind) {
        case 'wall-gap':
          return setUps.includes('pad') ? from(measure, padFact(measure)) : [];
        case 'wedge-fit':
          return setUps.includes('blanket') ? from(measure, blanketFact(measure)) : [];
        case 'controlled-looking-up':
          return setUps.includes('looking up') ? from(measure, lookingUpFact(measure)) : [];
        default:
          return measure.kind === exercise.strength ? from(measure, pushFact(measure, dose)) : [];
      }
    }),
    ...bandFact(dose),
    ...findings.flatMap((finding): SetUp[] =>
      finding.cue !== null && finding.families.includes(family)
        ? [
            {
              fact: { kind: 'cue', cue: finding.cue },
              from: { kind: 'finding', id: finding.id, on: finding.on },
            },
          ]
        : [],
    ),
  ];
}

/** To a tenth of a centimetre, as kilograms below: finer than any home can tell. */
function padFact({ value }: SetUpMeasure): SetUpFact | null {
  return value === null ? null : { kind: 'pad', cm: toTenth(padThickness(value) / 10) };
}

/** What is measured is what the ear lies higher than the shoulder: under the trunk, else the head. */
function blanketFact({ value }: SetUpMeasure): SetUpFact | null {
  if (value === null || value === 0) return null;
  return {
    kind: 'blanket',
    cm: toTenth(Math.abs(value) / 10),
    under: value > 0 ? 'trunk' : 'head',
  };
}

function lookingUpFact({ value }: SetUpMeasure): SetUpFact | null {
  return value === null ? null : { kind: 'looking up', degrees: Math.round(value) };
}

function pushFact({ value, side }: SetUpMeasure, dose: Dose | null): SetUpFact | null {
  const band = value === null || dose === null ? null : forceBand(dose, value);
  if (band === null || (side !== null && !isWorked(side, dose))) return null;
  const { least, most } = band.kilograms;
  return { kind: 'push', side, least: toTenth(least), most: toTenth(most) };
}

/** A push to one side only is no set-up of the other. */
function isWorked(side: 'left' | 'right', dose: Dose | null): boolean {
  return dose?.side === undefined || (dose.side !== 'left' && dose.side !== 'right')
    ? true
    : dose.side === side;
}

function bandFact(dose: Dose | null): SetUp[] {
  const band = dose?.band;
  if (band?.stretchPercent === undefined) return [];
  const name = band.band.kind === 'level' ? band.band.level : band.band.name;
  const lengths = Math.round(100 + band.stretchPercent) / 100;
  return [{ fact: { kind: 'band', name, lengths }, from: { kind: 'dose' } }];
}
