import type { Detectable, MeasureKind, MeasureStep, Position, Profile } from './kind';

export const UNKNOWN: Detectable = {
  margin: null,
  source: 'No value known; the clinic may enter its own.',
};
export const TRADE = 'Common practice, no source.';
const AMA = 'AMA Guides (memory)';

export const range = (
  name: string,
  norm: number,
  sided: boolean,
  first: readonly Profile[],
  position: Position = 'sitting',
) =>
  ({
    name,
    unit: '°',
    form: 'trials',
    step: 'range',
    sided,
    trials: 3,
    range: [0, 180],
    better: 'more',
    first,
    position,
    instrument: 'inclinometer',
    detectable: { margin: { by: 10 }, source: `10° with an inclinometer. ${TRADE}` },
    agree: { by: 8 },
    norm: { value: norm, source: AMA },
  }) as const satisfies MeasureKind;

export const hold = (name: string, position: Position, first: readonly Profile[], how: string) =>
  ({
    name,
    unit: 's',
    form: 'trials',
    step: 'control',
    sided: false,
    trials: 1,
    range: [0, 900],
    better: 'more',
    first,
    position,
    instrument: 'stopwatch',
    detectable: {
      margin: { by: 16 },
      source: 'Repeats differ by ten to twenty seconds (memory); 16 s between.',
    },
    how,
  }) as const satisfies MeasureKind;

export const strength = (name: string, sided: boolean) =>
  ({
    name,
    unit: 'N',
    form: 'trials',
    step: 'strength',
    sided,
    trials: 3,
    range: [1, 1000],
    better: 'more',
    first: [],
    position: 'sitting',
    instrument: 'push dynamometer',
    detectable: { margin: { percent: 20 }, source: `20 % of the first value. ${TRADE}` },
    agree: { percent: 15 },
    how: 'Build up for two seconds, push for three; the head does not move. Painless or stop.',
  }) as const satisfies MeasureKind;

export const pain = (name: string) =>
  ({
    name,
    unit: 'of 10',
    form: 'trials',
    step: 'function',
    sided: false,
    trials: 1,
    range: [0, 10],
    better: 'less',
    first: ['neck', 'back', 'posture'],
    position: 'sitting',
    instrument: 'questionnaire',
    detectable: {
      margin: { by: 2, orPercent: 30 },
      source: '2 points or 30 % is important (Farrar 2001).',
    },
  }) as const satisfies MeasureKind;

export const photo = (
  name: string,
  unit: '°' | 'mm',
  better: 'more' | 'less' | 'neither',
  detectable: Detectable,
) =>
  ({
    name,
    unit,
    form: 'photo',
    step: 'posture',
    sided: false,
    trials: 1,
    range: unit === '°' ? [-180, 180] : [-500, 500],
    better,
    first: [],
    position: 'standing',
    instrument: 'photo',
    detectable,
  }) as const satisfies MeasureKind;

export const choice = (
  name: string,
  step: MeasureStep,
  sided: boolean,
  first: readonly Profile[],
  options: readonly string[],
  how: string,
) =>
  ({
    name,
    unit: '',
    form: 'choice',
    step,
    sided,
    trials: 1,
    range: [0, 0],
    better: 'neither',
    first,
    position: 'sitting',
    instrument: 'examination',
    detectable: UNKNOWN,
    options,
    how,
  }) as const satisfies MeasureKind;
