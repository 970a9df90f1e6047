import type { Phrase } from '@/core/dose';
import SHARED from '../languages/en-shared.json';
import { doseTexts } from './dose';
import { type DoseWords, type MessageTable, sayIn } from './say';

/**
 * A dose as a clinician reads it: every key of `readDose` and `leftUnwritten`. Apart from the patient's
 * texts, so that the desk carries none of them.
 */
export const DOSE_FOR_CLINICIAN: MessageTable = {
  ...doseTexts(SHARED),
  'head.bouts.held': '{most, plural, one {one hold of {span}} other {{times} holds of {span}}}',
  'head.bouts.moved': '{most, plural, one {one bout of {span}} other {{times} bouts of {span}}}',
  'head.bouts.lain': '{most, plural, one {lie for {span}} other {{times} times lying for {span}}}',
  'head.reps': '{most, plural, one {one repetition} other {{reps} repetitions}}',
  'head.sets': '{sets} sets of {reps}',
  'head.pyramid': 'sets of {sets}',
  'head.max':
    '{n, plural, one {one set} other {# sets}} of as many as can be done until form fails',
  'count.max': 'as many as can be done until form fails',
  hold: 'hold {span}',
  'hold.gap': 'hold {span}, {gap} between repetitions',
  move: '{span} of movement each',
  slow: 'slowly',
  breath: 'breathing {in}-{hold}-{out}',
  directions: 'in {n} directions',
  'directions.named': '{list}',
  angles: 'at {n} angles',
  barriers: 'at {n} barriers without a pause',
  degrees: 'at {list}',
  'load.weight': 'load {list}',
  'load.1rm': 'load {list} of one-repetition maximum',
  'load.10rm': 'load {list} of ten-repetition maximum',
  'load.adjusted': 'adjusted in the session',
  band: '{name} band',
  'band.stretched': '{name} band at {percent} % stretch',
  gap: '{span} between repetitions',
  rest: '{span} rest between sets',
  'side.left': 'left only',
  'side.right': 'right only',
  'side.left.how': 'left only: {how}',
  'side.right.how': 'right only: {how}',
  'side.each': 'each side, one after the other',
  'side.alternating': 'left and right alternating',
  'effort.percent': '{count} % of maximum push',
  'effort.perceived.held': 'perceived effort {count} of 10',
  'effort.perceived.moved': 'perceived effort {count} of 10',
  'effort.perceived.lain': 'perceived effort {count} of 10',
  tuck: 'tuck {count} % of full',
  'tuck.mm': 'tuck {count} mm back from the slouch',
  warmUp: '{n, plural, one {first set is warm-up} other {first # sets are warm-up}}',
  'times.exact': '{least, plural, one {once a day} =2 {twice a day} other {# times a day}}',
  'times.upTo':
    '{least, plural, one {once a day} =2 {twice a day} other {# times a day}}, up to {most} allowed',
  'everyDay.once': 'daily',
  'everyDay.exact':
    '{least, plural, one {once a day} =2 {twice a day} other {# times a day}}, daily',
  'everyDay.upTo':
    '{least, plural, one {once a day} =2 {twice a day} other {# times a day}}, up to {most} allowed, daily',
  'times.everyHours': '{hours, plural, one {every hour} other {every # hours}}, waking to sleep',
  'times.everyMinutes': 'every {minutes} minutes, waking to sleep',
  'times.asNeeded': 'as needed',
  'times.onWaking': 'on waking',
  'times.afterWaking': 'an hour after waking',
  'times.beforeCare': 'before hands-on care',
  'times.afterCare': 'after hands-on care',
  'times.beforeTraining': 'before training',
  'times.afterTraining': 'after training',
  'days.daily': 'daily',
  'days.everyOther': 'every other day',
  'days.every': 'every {n} days',
  'days.weekdays': 'on {list}',
  fromDay: 'from day {day}',
  'until.day': 'until day {day}',
  'until.date': 'until {date}',
  'until.review': 'until review',
  'assumed.pause.gapAfterHold': '{seconds} s between repetitions',
  'assumed.pause.gapAfterMove': '{seconds} s between repetitions',
  'assumed.pause.rest': '{seconds} s of rest between sets',
  'assumed.pause.changeSide': '{seconds} s to change sides',
  'assumed.pause.alternate': '{seconds} s from side to side',
  'assumed.pause.changeDirection': '{seconds} s to the next direction or angle',
  'assumed.times': 'once a day',
  'assumed.days': 'every day',
  'missing.side': 'which side?',
  'missing.effort': 'how hard? (50 %, rpe 4, a load or a band)',
  'missing.until': 'until when? (until 14 days, until review)',
};

const WORDS: DoseWords = { tag: 'en', table: DOSE_FOR_CLINICIAN };

/** One phrase of a dose as a clinician reads it. Throws RangeError for a key that has no text. */
export function sayToClinician(phrase: Phrase): string {
  return sayIn(WORDS, phrase);
}

/** Phrases of a dose as one sentence of commas for a clinician. */
export function sayAllToClinician(phrases: readonly Phrase[]): string {
  const text = phrases.map(sayToClinician).join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
