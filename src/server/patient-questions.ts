import type { PackQuestions } from '@/core/exchange';
import { NO_REPORT, worstPain } from '@/core/history';
import type { GoalBody, HistoryBody } from '@/core/records';
import { type Complaint, type SymptomBaseline, furthestReach, isRegion } from '@/core/symptoms';
import { type LocalDate, addDays } from '@/core/units';
import type { Patient } from '@/db';
import type { PatientFacts } from './programme-facts';
import { fileOf } from './visit/entries';
import { type Measure, latestMeasures } from './visit/measuring';
import { photoRequest } from './visit/photos';

export const WEEK_DAYS = 7;

/** What the record says a patient may be asked about. */
export type Asked = {
  readonly measures: readonly Measure[];
  readonly history: HistoryBody | null;
  readonly goals: readonly GoalBody[];
  /** The clinic asks for a photo from home. */
  readonly photo: boolean;
};

export async function askedOf(patient: Patient): Promise<Asked> {
  const [measures, file, photo] = await Promise.all([
    latestMeasures(patient),
    fileOf(patient),
    photoRequest(patient),
  ]);
  return {
    measures,
    history: file.history?.body ?? null,
    goals: file.goals.map(({ body }) => body),
    photo: photo !== null,
  };
}

/** What is usual for this patient, and what the phone asks today. Nothing is asked that is not used. */
export function questionsFor(
  facts: PatientFacts,
  { measures, history, goals, photo }: Asked,
  today: LocalDate,
): { baseline: SymptomBaseline; questions: PackQuestions } {
  const reports = new Map(facts.doneRows.map((row) => [row.localDate, row.report]));
  const yesterday = facts.done.get(addDays(today, -1));
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
      morning: (yesterday?.sessions.length ?? 0) > 0 && todays.soreness === null,
      daily: todays.worst === null,
      limb,
      headache,
      activities: scored ? [] : open.slice(0, 5),
      photo,
    },
  };
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
