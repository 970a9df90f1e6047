import {
  ENGLISH,
  type Language,
  type PatientWord,
  exerciseIn,
  inLanguage,
  sayPhrases,
  sayerOf,
  waysIn,
  waysOf,
} from '@/catalogue';
import { summarise } from '@/core/adherence';
import { readDose } from '@/core/dose';
import type { LimbVerdict, VerdictTold } from '@/core/follow';
import { type Change, formatMeasure, kindOf } from '@/core/measures';
import type { SentLine } from '@/core/programme';
import {
  type LetterRow,
  type LetterTexts,
  MOST_LETTER_ROWS,
  type OutcomeLetter,
  type ReviewRow,
} from '@/core/review';
import { type LocalDate, dayOfYearText } from '@/core/units';
import type { Patient } from '@/db';
import { languageFor } from '../languages';
import type { Beside } from './strips';
import type { Review } from './review';

type Say = ReturnType<typeof sayerOf>;

/** The lines of the newest version that are this complaint's own. */
export function linesThatGoOn({ follow }: Pick<Review, 'follow'>): readonly SentLine[] {
  const counted = follow.record.facts.counted;
  return (follow.versions.at(-1)?.lines ?? []).filter(
    ({ lineage }) => counted?.has(lineage) ?? true,
  );
}

/** A line as a patient reads it. @example "Chin tuck, lying: Do 10. Hold each for 10 seconds." */
export function lineIn(language: Language, line: SentLine): string {
  const { name } = exerciseIn(language, line.exercise);
  const dose = readDose(line.dose, line.mode, waysIn(language, waysOf(line)));
  return `${name}: ${sayPhrases(dose, language)}`;
}

/**
 * A letter for a patient who reads another language than the clinic's: the same facts, said anew, never
 * translated from the sentences. What somebody at the clinic typed stays as it was typed.
 *
 * @returns null where the patient reads the clinic's language
 */
export function ownLetter(
  patient: Patient,
  review: Review,
  kind: OutcomeLetter['kind'],
): LetterTexts | null {
  const language = languageFor(patient);
  if (language.tag === ENGLISH.tag) return null;
  const say = sayerOf(language);
  const { follow, today } = review;
  const { sessionsDone, sessionsDue } = summarise(follow.days);
  const on = (date: LocalDate) => dayOfYearText(date, language.tag);
  return {
    language: language.tag,
    title: say(kind === 'discharge' ? 'letter.discharge' : 'letter.review', { name: patient.name }),
    date: on(today),
    paragraphs: [
      say('letter.was', { from: on(follow.from), to: on(today), complaint: review.complaint }),
      ...(sessionsDue > 0
        ? [say('letter.sessions', { done: sessionsDone, due: sessionsDue })]
        : []),
      ...review.verdicts.map((one) => verdictIn(one, language, say)),
      ...follow.limbs.flatMap((one) => limbIn(one, say)),
      ...besideIn(follow.beside, say, on),
    ],
    measures: {
      title: say('letter.measured'),
      items: review.rows
        .filter(({ last }) => last !== null)
        .slice(0, MOST_LETTER_ROWS)
        .map((row) => rowIn(row, language, say, on)),
    },
    goals: {
      title: say('letter.goals'),
      items: [
        ...review.goals.map(({ activity, reachedOn }) =>
          reachedOn
            ? say('letter.goalReached', { goal: activity, date: on(reachedOn) })
            : say('letter.goalOpen', { goal: activity }),
        ),
        ...review.activities.map((one) => say('progress.activity', one)),
      ],
    },
    programme: {
      title: say(kind === 'discharge' ? 'letter.keepGoing' : 'letter.goesOn'),
      items: linesThatGoOn(review).map((line) => lineIn(language, line)),
    },
    caution: say('letter.caution'),
  };
}

const COURSE_KEYS = {
  early: 'letter.course.early',
  better: 'letter.course.better',
  betterALittle: 'letter.course.betterALittle',
  worse: 'letter.course.worse',
  worseALittle: 'letter.course.worseALittle',
  back: 'letter.course.back',
  same: 'letter.course.same',
  unclear: 'letter.course.unclear',
} as const satisfies Record<VerdictTold['said'], PatientWord>;

function verdictIn({ of, told }: Review['verdicts'][number], language: Language, say: Say): string {
  const { from, to } = told;
  return say(COURSE_KEYS[told.said], {
    name: followedIn(of, language, say),
    from: from ?? 0,
    to: to ?? 0,
  });
}

function followedIn(
  { id, name, measure }: Review['verdicts'][number]['of'],
  language: Language,
  say: Say,
): string {
  if (measure) return measureIn(measure, language, say);
  if (id === 'pain') return say('progress.worst');
  return id === 'headache' ? say('letter.headaches') : name;
}

function measureIn(
  { kind, side }: Pick<ReviewRow, 'kind' | 'side'>,
  language: Language,
  say: Say,
): string {
  const name = inLanguage(language, kindOf(kind).name);
  return side ? `${name} (${say(side === 'left' ? 'player.left' : 'player.right')})` : name;
}

/** What the limb does, in a sentence; nothing where too little was told. */
function limbIn({ limb, course, better }: LimbVerdict, say: Say): string[] {
  const where = { where: `${limb.side}${limb.chain === 'arm' ? 'Arm' : 'Leg'}` };
  switch (course) {
    case 'not enough to say':
      return [];
    case 'no clear change':
      return [say('letter.limb.same', where)];
    case 'spreading':
      return [say('letter.limb.spreading', where)];
    case 'drawing in':
      return [say(better ? 'letter.limb.drawingIn' : 'letter.limb.butWeaker', where)];
  }
}

function besideIn(beside: readonly Beside[], say: Say, on: (date: LocalDate) => string): string[] {
  if (beside.length === 0) return [];
  const said = beside.map(({ date, say: typed, pausedTo }) =>
    pausedTo === undefined
      ? `${on(date)}: ${typed}`
      : pausedTo === null
        ? say('letter.pausedFrom', { from: on(date) })
        : say('letter.paused', { from: on(date), to: on(pausedTo) }),
  );
  return [say('letter.beside', { what: said.join('; ') })];
}

function rowIn(
  row: ReviewRow,
  language: Language,
  say: Say,
  on: (date: LocalDate) => string,
): LetterRow {
  const told = (measure: ReviewRow['last']) =>
    measure?.value == null ? '–' : `${formatMeasure(row.kind, measure.value)} (${on(measure.on)})`;
  const change = say(changeKey(row.change));
  return {
    name: measureIn(row, language, say),
    first: told(row.first),
    last: told(row.last),
    verdict: row.otherwise ? `${change}; ${say('letter.change.otherwise')}` : change,
  };
}

function changeKey(change: Change | null): PatientWord {
  if (change === null) return 'letter.change.none';
  if (change.difference === 0) return 'letter.change.same';
  if (change.real === null) return 'letter.change.unknown';
  if (!change.real) return 'letter.change.small';
  return change.direction === 'neither'
    ? 'letter.change.changed'
    : change.direction === 'better'
      ? 'letter.change.better'
      : 'letter.change.worse';
}
