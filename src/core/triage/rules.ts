import { GOOD_ADHERENCE } from '../follow';
import { type LocalDate, daysBetween, percentText } from '../units';
import type { TriageLimits } from './limits';

export const LEVELS = ['call today', 'decide', 'steady'] as const;
export type Level = (typeof LEVELS)[number];

/** What triage reads of one patient. Numbers that nobody knows are null. */
export type TriageFacts = {
  readonly today: LocalDate;
  /** Oldest open alert; null without one. */
  readonly alert: {
    readonly kind: string;
    readonly say: string;
    readonly hoursOpen: number;
  } | null;
  readonly awaitsAnswer: boolean;
  readonly prescribed: boolean;
  /** Discharged: nothing is followed any more. */
  readonly discharged: boolean;
  readonly paused: boolean;
  /** Worst pains told in the last days, newest last. */
  readonly pains: readonly number[];
  readonly flares: number;
  /** The longest run of days, up to the newest, on which a limb went beyond its usual. */
  readonly spreading: { readonly days: number; readonly limb: string } | null;
  /** Running lines that speak against what is known of the patient now, each with the precaution's name. */
  readonly flagged: readonly { readonly name: string; readonly precaution: string }[];
  /** Growth that the logs propose and nobody has decided on. */
  readonly ready: number;
  /** Steps back, rests and stops proposed and not decided on. */
  readonly easier: number;
  /** Questions to the patient proposed and not decided on. */
  readonly asking: number;
  /** Dose done in the last fortnight and the one before, 0–1; null when nothing was due. */
  readonly share: number | null;
  readonly shareBefore: number | null;
  readonly sessionsDone: number;
  readonly sessionsDue: number;
  /** Days since anything was heard, while something was due; null when nothing was due. */
  readonly silentDays: number | null;
  /** Weeks the course has shown no clear change; null where it has, or cannot be said, or too little was done. */
  readonly plateauWeeks: number | null;
  readonly reviewOn: LocalDate | null;
  /** Days since the screening that counts; null without one. */
  readonly screeningAge: number | null;
  readonly screeningDays: number;
  /** Days since the link was handed over and not opened; null where it was, or none was. */
  readonly unopenedDays: number | null;
};

/** Steps of the patient's file that a row leads to. */
export const STEPS = ['follow', 'plan', 'screen', 'review'] as const;
export type Step = (typeof STEPS)[number];

export type TriageRule = {
  readonly id: string;
  readonly level: Exclude<Level, 'steady'>;
  /** What to do next, in a few words. */
  readonly next: string;
  /** Where that is done: a step of the patient's file. */
  readonly step: Step;
  readonly source: string;
  /** One sentence with its numbers where it holds, else null. */
  readonly say: (facts: TriageFacts, limits: TriageLimits) => string | null;
};

const TRADE = 'Common practice, no source.';
const days = (count: number) => `${count} ${count === 1 ? 'day' : 'days'}`;

/** From the gravest: the first that holds is the reason; the others stand under it. */
export const TRIAGE_RULES: readonly TriageRule[] = [
  {
    id: 'alert',
    level: 'call today',
    next: 'Call',
    step: 'follow',
    source: TRADE,
    say: ({ alert }) => alert && alert.say,
  },
  {
    id: 'spreading',
    level: 'call today',
    next: 'Call, examine',
    step: 'follow',
    source: TRADE,
    say: ({ spreading }, { spreadingDays }) =>
      spreading && spreading.days >= spreadingDays
        ? `The ${spreading.limb} has spread beyond its usual ${days(spreading.days)} running.`
        : null,
  },
  {
    id: 'pain over limit',
    level: 'call today',
    next: 'Call',
    step: 'follow',
    source: TRADE,
    say: ({ pains }, { painOver, painTimes, painDays }) => {
      const over = pains.filter((pain) => pain > painOver);
      return over.length >= painTimes
        ? `Pain over ${painOver} of 10 on ${days(over.length)} of the last ${painDays}, up to ${Math.max(...over)}.`
        : null;
    },
  },
  {
    id: 'flares',
    level: 'call today',
    next: 'Call, ease off',
    step: 'follow',
    source: TRADE,
    say: ({ flares }, limits) =>
      flares >= limits.flares
        ? `A flare the next morning ${flares} times in ${limits.painDays} days.`
        : null,
  },
  {
    id: 'awaits answer',
    level: 'decide',
    next: 'Record the answer',
    step: 'screen',
    source: TRADE,
    say: ({ awaitsAnswer }) => (awaitsAnswer ? 'Referred; no answer is recorded yet.' : null),
  },
  {
    id: 'flagged line',
    level: 'decide',
    next: 'Look at the lines',
    step: 'plan',
    source: TRADE,
    say: ({ flagged: [first, ...more] }) => {
      if (!first) return null;
      const others = new Set(more.map(({ name }) => name).filter((name) => name !== first.name));
      const beside = others.size === 0 ? '' : `, and ${others.size} more`;
      return `Runs and is flagged now: ${first.name} (${first.precaution})${beside}.`;
    },
  },
  {
    id: 'ease off',
    level: 'decide',
    next: 'Decide',
    step: 'follow',
    source: TRADE,
    say: ({ easier }) =>
      easier > 0
        ? `${easier} ${easier === 1 ? 'line asks' : 'lines ask'} for a step back, a rest or a stop.`
        : null,
  },
  {
    id: 'no programme',
    level: 'decide',
    next: 'Write a programme',
    step: 'plan',
    source: TRADE,
    say: ({ prescribed }) => (prescribed ? null : 'No programme yet.'),
  },
  {
    id: 'link never opened',
    level: 'decide',
    next: 'Ask, hand over again',
    step: 'plan',
    source: TRADE,
    say: ({ unopenedDays }, limits) =>
      unopenedDays !== null && unopenedDays >= limits.unopenedDays
        ? `The link has not been opened for ${days(unopenedDays)}.`
        : null,
  },
  {
    id: 'silent',
    level: 'decide',
    next: 'Ask',
    step: 'follow',
    source: TRADE,
    say: ({ silentDays, paused }, limits) =>
      !paused && silentDays !== null && silentDays >= limits.silentDays
        ? `Nothing heard for ${days(silentDays)}.`
        : null,
  },
  {
    id: 'adherence falling',
    level: 'decide',
    next: 'Find out why',
    step: 'follow',
    source: TRADE,
    say: ({ share, shareBefore, paused }, { fallPercent }) =>
      !paused &&
      share !== null &&
      shareBefore !== null &&
      (shareBefore - share) * 100 >= fallPercent
        ? `Dose done fell from ${percentText(shareBefore)} to ${percentText(share)} in a fortnight.`
        : null,
  },
  {
    id: 'ready',
    level: 'decide',
    next: 'Accept or decline',
    step: 'follow',
    source: TRADE,
    say: ({ ready, paused }) =>
      !paused && ready > 0
        ? `Ready to progress: ${ready} ${ready === 1 ? 'line' : 'lines'}.`
        : null,
  },
  {
    id: 'asks',
    level: 'decide',
    next: 'Ask the patient',
    step: 'follow',
    source: TRADE,
    say: ({ asking, paused }) =>
      !paused && asking > 0
        ? `${asking} ${asking === 1 ? 'line lacks' : 'lines lack'} a number or a word from the patient.`
        : null,
  },
  {
    id: 'review due',
    level: 'decide',
    next: 'Review',
    step: 'review',
    source: TRADE,
    say: ({ reviewOn, today }) => {
      if (reviewOn === null || reviewOn > today) return null;
      const late = daysBetween(reviewOn, today);
      return late === 0 ? 'The review is due today.' : `The review was due ${days(late)} ago.`;
    },
  },
  {
    id: 'plateau',
    level: 'decide',
    next: 'Review the plan',
    step: 'review',
    source: 'Change is expected over about six weeks. Common practice, no source.',
    say: ({ plateauWeeks, share }, limits) =>
      plateauWeeks !== null &&
      plateauWeeks >= limits.plateauWeeks &&
      share !== null &&
      share >= GOOD_ADHERENCE
        ? `No clear change in ${plateauWeeks} weeks at ${percentText(share)} of the dose.`
        : null,
  },
  {
    id: 'screening old',
    level: 'decide',
    next: 'Screen again',
    step: 'screen',
    source: TRADE,
    say: ({ prescribed, screeningAge, screeningDays }) => {
      if (screeningAge === null)
        return prescribed ? 'Has a programme and no screening stands here.' : null;
      return screeningAge > screeningDays ? `The screening is ${days(screeningAge)} old.` : null;
    },
  },
];

export type Triage = {
  readonly level: Level;
  /** Null where nothing holds. */
  readonly rule: string | null;
  readonly reason: string;
  readonly next: string;
  readonly step: Step;
  /** What holds beside the reason. */
  readonly also: readonly string[];
  /** Rows of one level stand in this order. */
  readonly urgency: number;
};

/**
 * Where a patient stands this morning, with one reason and the next action. More facts that hold
 * never lower the level.
 */
export function triage(facts: TriageFacts, limits: TriageLimits): Triage {
  const holding = facts.discharged
    ? []
    : TRIAGE_RULES.flatMap((rule, urgency) => {
        const say = rule.say(facts, limits);
        return say === null ? [] : [{ rule, say, urgency }];
      });
  const [first, ...others] = holding;
  if (!first)
    return {
      level: 'steady',
      rule: null,
      reason: steadyReason(facts),
      next: 'Nothing',
      step: 'follow',
      also: [],
      urgency: TRIAGE_RULES.length,
    };
  const { level, id, next, step } = first.rule;
  return {
    level,
    rule: id,
    reason: first.say,
    next,
    step,
    also: others.map(({ say }) => say),
    urgency: first.urgency,
  };
}

function steadyReason({ discharged, paused, sessionsDone, sessionsDue, share }: TriageFacts) {
  if (discharged) return 'Discharged.';
  if (paused) return 'Paused.';
  if (sessionsDue === 0) return 'Nothing was due in the last fortnight.';
  const dose = share === null ? '' : `, ${percentText(share)} of the dose`;
  return `${sessionsDone} of ${sessionsDue} sessions in a fortnight${dose}.`;
}
