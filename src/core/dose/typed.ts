import { type Result, ok } from '../units';
import type { DoseError } from './error';
import { formatCount, formatDose } from './format';
import { looksTurnedRound } from './head';
import type { Dose } from './model';
import { LONGEST_LINE, parseDose } from './parse';
import { inGrammarWords } from './trade-words';

export type TypedDose = {
  readonly dose: Dose;
  /** The same dose as it is printed, where it was typed in other words than the grammar's. */
  readonly rewritten: string | null;
};

/** "1.30min" may be meant as one minute thirty. Two places after the point are no usual part of a minute. */
const MINUTES_AND_SECONDS = /(\d+)[.,]([0-5]\d) ?(?:min|m\b)/i;
/** "1,000s" may be a thousand, and is read as one. */
const THOUSANDS = /\d{1,3}[.,]000(?!\d)/;

/** Whoever writes sets or repetitions has said which number is which. */
const SAYS_WHICH = /sets?\b|rep/i;

/** "10x3": ten sets of three, or three sets of ten? Asked until the words say it. */
function turnedRound(typed: string, { head }: Dose): DoseError | null {
  if (head.kind !== 'sets' || !looksTurnedRound(head)) return null;
  const found = /\d+(?: ?- ?\d+)? ?[x×] ?\d+(?: ?- ?\d+)?/i.exec(typed);
  const [sets, reps] = [formatCount(head.sets), formatCount(head.reps)];
  return {
    at: found?.index ?? 0,
    length: found?.[0].length ?? typed.length,
    found: found?.[0] ?? typed,
    expected: [`${sets} sets of ${reps}`, `${reps}x${sets}`],
    say: `${sets} sets of ${reps}, or ${reps} sets of ${sets}? Write ${sets} sets of ${reps}, or ${reps}x${sets}.`,
  };
}

/** "am" alone is a part of the day, which stands beside the line. */
const PART_OF_DAY = /(?:^|\s)(am|pm)(?=\s|$)/i;

/** "30s x 3 daily": three of them, or three times a day? */
const TIMES_OR_DAILY = /x ?(\d+) ?(?:times? )?daily\b/i;

/** What the grammar expects where it is told how often a week. */
const NAMED_DAYS = 'mon wed fri';
const A_WEEK = /\d ?(?:x|times?)? ?(?:\/|an?|per|each) ?(?:week|wk)\b/i;

function ambiguous(typed: string): DoseError | null {
  const error = (match: RegExpExecArray, say: string, expected: readonly string[]) => ({
    at: match.index,
    length: match[0].length,
    found: match[0],
    expected,
    say,
  });
  const clock = MINUTES_AND_SECONDS.exec(typed);
  if (clock) {
    const [text, minutes = '0', hundredths = '0'] = clock;
    const asClock = Number(minutes) * 60 + Number(hundredths);
    const asShare = Math.round(Number(`${minutes}.${hundredths}`) * 60);
    return error(
      clock,
      `${text}: ${minutes} min ${Number(hundredths)} s, or ${asShare} s? Write ${asClock}s or ${asShare}s.`,
      [`${asClock}s`, `${asShare}s`],
    );
  }
  const thousands = THOUSANDS.exec(typed);
  if (thousands) {
    const whole = thousands[0].replace(/[.,]/, '');
    const one = thousands[0].replace(/[.,].*/, '');
    return error(thousands, `${thousands[0]}: a thousand, or ${one}? Write ${whole} or ${one}.`, [
      whole,
      one,
    ]);
  }
  const daily = TIMES_OR_DAILY.exec(typed);
  if (daily && /(?:s|secs?|seconds?|min|minutes?|["″']) *$/i.test(typed.slice(0, daily.index))) {
    const [text, n = ''] = daily;
    return error(
      daily,
      `${text}: ${n} of them each day, or ${n} times a day? Write ${n}x before it, or ${n}/day after it.`,
      [`${n}/day`],
    );
  }
  return null;
}

/**
 * Reads what a clinician types: the grammar, and the trade's own words for it. What two people would
 * read differently is asked about, never guessed. Stored lines are read by `parseDose` alone, which
 * asks nothing.
 *
 * @returns the dose with how it is printed where other words were typed; or the first error, at its
 *   character of what was typed
 * @example readTyped('3 sets of 10, twice a day') // { …, rewritten: '3x10 2/day' }
 */
export function readTyped(typed: string): Result<TypedDose, DoseError> {
  const asked = typed.length <= LONGEST_LINE ? ambiguous(typed) : null;
  if (asked) return { ok: false, ...asked };
  const read = parseDose(typed);
  const turned = (dose: Dose) => (SAYS_WHICH.test(typed) ? null : turnedRound(typed, dose));
  const which = read.ok ? turned(read.value) : null;
  if (which) return { ok: false, ...which };
  if (read.ok) return ok({ dose: read.value, rewritten: null });
  if (typed.length > LONGEST_LINE) return read;
  const meant = parseDose(inGrammarWords(typed));
  const other = meant.ok ? turned(meant.value) : null;
  if (other) return { ok: false, ...other };
  if (meant.ok) return ok({ dose: meant.value, rewritten: formatDose(meant.value) });
  const part = PART_OF_DAY.exec(typed);
  if (part && !/am\W*pm|pm\W*am/i.test(typed)) {
    const [text, word = ''] = part;
    const name = word.toLowerCase() === 'am' ? 'morning' : 'evening';
    return {
      ok: false,
      at: part.index + text.length - word.length,
      length: word.length,
      found: word,
      expected: [],
      say: `${word} is a part of the day: leave it out here and choose ${name} beside the line.`,
    };
  }
  const week = A_WEEK.exec(typed);
  // The grammar has a sentence for it, with the days to choose.
  if (week && meant.expected.includes(NAMED_DAYS))
    return { ...meant, at: week.index, length: week[0].length, found: week[0] };
  return read;
}
