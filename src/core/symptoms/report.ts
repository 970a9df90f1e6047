import { ARM_CHAIN, type BodyPart, LEG_CHAIN } from './body';

/** What a patient may say is wrong, in the order it is offered. */
export const COMPLAINTS = [
  'headache',
  'dizzy',
  'numb or tingling',
  'sharp or shooting',
  'spreading further',
  'weakness',
  'sight',
  'fall or blow',
  'ordinary soreness',
  'other',
] as const;
export type Complaint = (typeof COMPLAINTS)[number];

/** How it stands against what the patient knows: their own baseline, in their own words. */
export const COMPARED = ['as usual', 'new', 'worse', 'not settling'] as const;
export type Compared = (typeof COMPARED)[number];

export type SymptomReport = {
  readonly complaint: Complaint;
  /** 0–10. */
  readonly severity: number;
  readonly compared: Compared;
  /** The furthest part it is felt in; null where it was not asked. */
  readonly furthest: BodyPart | null;
};

/** What is usual for this patient, from the record; null where nobody has asked. */
export type SymptomBaseline = {
  /** Usual worst pain, 0–10. */
  readonly worst: number | null;
  /** Furthest order along arm and leg, 0–6; null when nothing is felt there. */
  readonly arm: number | null;
  readonly leg: number | null;
  /** Complaints the patient came with. */
  readonly known: readonly Complaint[];
};

export const NO_BASELINE: SymptomBaseline = { worst: null, arm: null, leg: null, known: [] };

/** What the patient is told, mildest first. */
export const ADVICE = [
  'carry on easier',
  'skip this one',
  'stop today',
  'stop and call',
  'emergency',
] as const;
export type Advice = (typeof ADVICE)[number];

/** These pause the programme and tell the clinic. */
export function isStopAdvice(advice: Advice): boolean {
  return advice === 'stop and call' || advice === 'emergency';
}

type ReportRule = {
  readonly id: string;
  readonly advice: Advice;
  readonly reason: string;
  readonly source: string;
  readonly holds: (report: SymptomReport, baseline: SymptomBaseline) => boolean;
};

const TRADE = 'Common practice, no source.';
const TRAFFIC_LIGHT = 'Traffic light during exercise (Thomeé 1997; from memory).';
const CHANGE = 'Clinically important change of 2 points (Farrar 2001).';

/** These count against the patient's own baseline: some start with a headache, or a tingling arm. */
const WATCHED: readonly Complaint[] = [
  'headache',
  'dizzy',
  'numb or tingling',
  'sharp or shooting',
];

/** The least that is worse than usual, in points of 10. */
const IMPORTANT = 2;

function orderOf(part: BodyPart | null): { chain: 'arm' | 'leg'; order: number } | null {
  if (part === null) return null;
  const arm = (ARM_CHAIN as readonly string[]).indexOf(part);
  if (arm >= 0) return { chain: 'arm', order: arm };
  const leg = (LEG_CHAIN as readonly string[]).indexOf(part);
  return leg >= 0 ? { chain: 'leg', order: leg } : null;
}

/** Further down a limb than is usual. The spine's own end of the chain is no spreading. */
export function isFurther(part: BodyPart | null, baseline: SymptomBaseline): boolean {
  const reach = orderOf(part);
  if (!reach || reach.order < 2) return false;
  return reach.order > (baseline[reach.chain] ?? 1);
}

/** New, worse or not settling: by the patient's word, or by two points above the usual worst. */
function isBeyondUsual(report: SymptomReport, baseline: SymptomBaseline): boolean {
  if (report.compared !== 'as usual') return true;
  if (WATCHED.includes(report.complaint) && !baseline.known.includes(report.complaint)) {
    // "As usual" for something the record does not know is believed only while it is mild.
    return report.severity > 2;
  }
  return baseline.worst !== null && report.severity >= baseline.worst + IMPORTANT;
}

/** From the gravest: the first that holds is the answer. */
export const REPORT_RULES: readonly ReportRule[] = [
  {
    id: 'sight',
    advice: 'emergency',
    reason: 'A change of sight counts whatever was usual before.',
    source: TRADE,
    holds: ({ complaint }) => complaint === 'sight',
  },
  {
    id: 'severe and new',
    advice: 'emergency',
    reason: 'Severe, and not as usual.',
    source: TRADE,
    holds: ({ complaint, severity, compared }) =>
      complaint !== 'ordinary soreness' && severity >= 8 && compared !== 'as usual',
  },
  {
    id: 'weakness',
    advice: 'stop and call',
    reason: 'Weakness counts whatever was usual before.',
    source: TRADE,
    holds: ({ complaint }) => complaint === 'weakness',
  },
  {
    id: 'fall or blow',
    advice: 'stop and call',
    reason: 'After a fall or a blow the neck and back are looked at before anything goes on.',
    source: TRADE,
    holds: ({ complaint }) => complaint === 'fall or blow',
  },
  {
    id: 'severe',
    advice: 'stop and call',
    reason: 'Anything severe is told to the clinic.',
    source: TRADE,
    holds: ({ severity }) => severity >= 8,
  },
  {
    id: 'spreading',
    advice: 'stop and call',
    reason: 'Spreading further down an arm or leg.',
    source: TRADE,
    holds: (report, baseline) =>
      report.complaint === 'spreading further' || isFurther(report.furthest, baseline),
  },
  {
    id: 'beyond usual',
    advice: 'stop and call',
    reason: 'New, worse, or not settling.',
    source: `${TRADE} ${CHANGE}`,
    holds: (report, baseline) =>
      WATCHED.includes(report.complaint) && isBeyondUsual(report, baseline),
  },
  {
    id: 'red',
    advice: 'stop today',
    reason: 'More than 5 of 10 during exercise is too much.',
    source: TRAFFIC_LIGHT,
    holds: ({ severity }) => severity > 5,
  },
  {
    id: 'amber, not as usual',
    advice: 'stop today',
    reason: 'Not as usual: rest today and see tomorrow.',
    source: TRADE,
    holds: (report, baseline) => report.severity > 2 && isBeyondUsual(report, baseline),
  },
  {
    id: 'amber',
    advice: 'skip this one',
    reason: 'Up to 5 of 10 is acceptable if it has settled by next morning; leave this one out.',
    source: TRAFFIC_LIGHT,
    holds: ({ complaint, severity }) => severity > 2 && complaint !== 'ordinary soreness',
  },
];

export type Answer = { readonly advice: Advice; readonly rule: string; readonly reason: string };

/**
 * What a patient does who says that something is wrong: the rules above, by the patient's own
 * baseline. It makes no diagnosis; the clinic decides what follows.
 *
 * @example adviseOn({ complaint: 'ordinary soreness', severity: 2, compared: 'as usual', furthest: null }, NO_BASELINE).advice // 'carry on easier'
 */
export function adviseOn(report: SymptomReport, baseline: SymptomBaseline): Answer {
  const rule = REPORT_RULES.find(({ holds }) => holds(report, baseline));
  return rule
    ? { advice: rule.advice, rule: rule.id, reason: rule.reason }
    : {
        advice: 'carry on easier',
        rule: 'green',
        reason: 'Up to 2 of 10, or ordinary soreness, is safe: go on, easier.',
      };
}
