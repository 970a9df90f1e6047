import type { PackAsk, PackQuestions } from '@/core/exchange';
import { NO_REPORT, worstPain } from '@/core/history';
import type { GoalBody, HistoryBody } from '@/core/records';
import { type Complaint, type SymptomBaseline, furthestReach, isRegion } from '@/core/symptoms';
import { type LocalDate, addDays } from '@/core/units';
import { type Patient, type ProposalDecisionRow, proposalDecisionsOf } from '@/db';
import type { Complaints } from './patient/complaints';
import type { PatientFacts } from './programme-facts';
import { fileOf } from './visit/entries';
import { type Measure, latestMeasures } from './visit/measuring';
import { photoRequest } from './visit/photos';

/** So many days back the questions of a day look. */
export const WEEK_DAYS = 7;

/** What the record says a patient may be asked about. */
export type Asked = {
  readonly measures: readonly Measure[];
  readonly history: HistoryBody | null;
  readonly goals: readonly GoalBody[];
  /** The clinic asks for a photo from home. */
  readonly photo: boolean;
  /** What was decided about proposals, newest first: some of it asks the patient. */
  readonly decisions: readonly ProposalDecisionRow[];
};

export async function askedOf(patient: Patient): Promise<Asked> {
  const [measures, file, photo, decisions] = await Promise.all([
    latestMeasures(patient),
    fileOf(patient),
    photoRequest(patient),
    proposalDecisionsOf(patient.clinicId, [patient.id], ASKS_READ),
  ]);
  return {
    measures,
    history: file.history?.body ?? null,
    goals: file.goals.map(({ body }) => body),
    photo: photo !== null,
    decisions,
  };
}

/** What is usual for this patient, and what the phone asks today. Nothing is asked that is not used. */
export function questionsFor(
  facts: PatientFacts,
  { measures, history, goals, photo, decisions }: Asked,
  today: LocalDate,
  complaints: Complaints['open'] = [],
): { baseline: SymptomBaseline; questions: PackQuestions } {
  const reports = new Map(facts.doneRows.map((row) => [row.localDate, row.report]));
  const morningOf = untoldMorning(facts, today);
  const todays = reports.get(today) ?? NO_REPORT;
  const reach = regionsOf(measures);
  const order = (chain: 'arm' | 'leg') => reach.find((one) => one.chain === chain)?.order ?? null;
  const headache = measures.some(
    ({ kind, value }) => kind === 'headache-days' && value !== null && value > 0,
  );
  const told = [...reports.values()].flatMap((report) => worstPain(report) ?? []);
  const limb = reach.length > 0;
  const known: Complaint[] = [
    ...(headache ? (['headache'] as const) : []),
    ...(limb ? (['numb or tingling'] as const) : []),
  ];
  const open = goals.filter(({ reachedOn }) => reachedOn === null).map(({ activity }) => activity);
  const scored = [...reports.values()].some(({ activities }) => activities.length > 0);
  return {
    baseline: {
      worst: median(told) ?? history?.irritability?.worst ?? null,
      arm: order('arm'),
      leg: order('leg'),
      known,
    },
    questions: {
      morning: morningOf !== null,
      morningOf,
      asks: stillAsked(facts, decisions),
      daily: todays.worst === null,
      ...(complaints.length > 0 ? { complaints } : {}),
      limb,
      headache,
      activities: scored ? [] : open.slice(0, 5),
      photo,
    },
  };
}

/** The morning after a session is asked about for so many days, since not every day is a day of exercise. */
const MORNING_DAYS = 3;

/** The newest day of sessions, lately and before today, whose morning after was not told of. */
function untoldMorning(facts: PatientFacts, today: LocalDate): LocalDate | null {
  const reports = new Map(facts.doneRows.map((row) => [row.localDate, row.report]));
  for (let ago = 1; ago <= MORNING_DAYS; ago += 1) {
    const date = addDays(today, -ago);
    if ((facts.done.get(date)?.sessions.length ?? 0) === 0) continue;
    return (reports.get(addDays(date, 1))?.soreness ?? null) === null ? date : null;
  }
  return null;
}

/** So many decisions are looked through for what was asked. */
const ASKS_READ = 60;
/** After so many days without an answer nobody is asked any more. Ours. */
const ASK_DAYS = 14;

/** What the clinic asked for and has not been answered; each line once. */
function stillAsked(facts: PatientFacts, decisions: readonly ProposalDecisionRow[]): PackAsk[] {
  const newest = facts.versions.at(-1);
  const seen = new Set<string>();
  return decisions.flatMap(({ move, decision, asks, lineage, localDate: on }): PackAsk[] => {
    if (move !== 'ask' || seen.has(lineage)) return [];
    seen.add(lineage);
    const line = newest?.lines.find((one) => one.lineage === lineage);
    const old = on < addDays(facts.today, -ASK_DAYS);
    if (decision !== 'accepted' || asks === null || asks === 'weights' || !line || old) return [];
    return isAnswered(facts, asks, lineage, on) ? [] : [{ what: asks, line: line.exercise.name }];
  });
}

/** Whether anything since a day says what was asked. */
function isAnswered(
  facts: PatientFacts,
  asks: PackAsk['what'],
  lineage: string,
  on: LocalDate,
): boolean {
  const since = facts.doneRows.filter(({ localDate }) => localDate > on);
  if (asks === 'how it goes')
    return (
      since.some(({ report }) => report.pains.length > 0 || report.effort !== null) &&
      since.some(({ report }) => report.soreness !== null)
    );
  const counted = since.flatMap(({ localDate }) =>
    (facts.done.get(localDate)?.sessions ?? []).flatMap(({ lines }) =>
      lines.filter((one) => one.lineage === lineage).flatMap((one) => one.counted ?? []),
    ),
  );
  return counted.some(
    ({ reps, load }) => reps !== null && (asks === 'repetitions' || load !== null),
  );
}

function regionsOf(measures: readonly Measure[]) {
  const body = measures.find((one) => one.body?.form === 'body')?.body;
  return body?.form === 'body' ? furthestReach(body.regions.filter(isRegion)) : [];
}

/** Of few days of one person the middle one: a single bad day does not make the usual. */
function median(values: readonly number[]): number | null {
  if (values.length < 3) return null;
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? null;
}
