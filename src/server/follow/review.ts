import { breather } from '../breathe';
import { formatDose } from '@/core/dose';
import {
  type Followed,
  type Judged,
  type VerdictTold,
  judgeAll,
  referVerdict,
  sayVerdict,
  tellVerdict,
  verdictTold,
} from '@/core/follow';
import { formatMeasure, kindOf } from '@/core/measures';
import { type ReviewRow, keepGoing, reviewRows, sayChange } from '@/core/review';
import { type LocalDate, type PatientId, shortDay, textOrder } from '@/core/units';
import {
  type Episode,
  type OutcomeLetterRow,
  type Patient,
  outcomeLettersOf,
  photosOf,
} from '@/db';
import type { SignedIn } from '../access';
import { measuresFor } from '../at-hand';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { earliestStart, saveProgramme } from '../save-programme';
import { fileOf, newestConsent } from '../visit/entries';
import { findingList } from '../visit/findings';
import { detectableChangesOf, measuresOf } from '../visit/measuring';
import { type Follow, followOf } from './strips';

export type Review = {
  readonly today: LocalDate;
  readonly rows: readonly ReviewRow[];
  /** Photos to lay over each other: the first and the last that stand. */
  readonly photos: { readonly earlier: string; readonly later: string } | null;
  readonly goals: readonly { readonly activity: string; readonly reachedOn: LocalDate | null }[];
  /** Activities the patient scores every week: first and last. */
  readonly activities: readonly {
    readonly activity: string;
    readonly from: number;
    readonly to: number;
  }[];
  readonly newFindings: readonly string[];
  /** Each followed thing in three voices: for the clinician, the patient and who referred. */
  readonly verdicts: readonly {
    readonly clinician: string;
    readonly patient: string;
    readonly referrer: string;
    /** What it is and what it comes to, for a letter in another language. */
    readonly of: Pick<Followed, 'id' | 'name' | 'measure'>;
    readonly told: VerdictTold;
  }[];
  readonly follow: Follow;
  readonly letters: readonly OutcomeLetterRow[];
  readonly mayShare: boolean;
  /** Which one is reviewed; a discharge closes it. */
  readonly episode: Episode | null;
  readonly discharged: boolean;
  readonly complaint: string;
};

/** The review visit, prepared from the record alone. */
export async function reviewOf(member: SignedIn, patient: Patient): Promise<Review> {
  const { clinicId, id } = patient;
  const today = todayOf(patient);
  const [follow, all, detectable, file, findings, photos, letters, consent] = await Promise.all([
    followOf(member, patient),
    measuresOf(patient),
    detectableChangesOf(clinicId),
    fileOf(patient),
    findingList(patient),
    photosOf(clinicId, id),
    outcomeLettersOf(clinicId, id),
    newestConsent(patient),
  ]);
  // First beside last is of this episode.
  const { episode, since, beside } = follow.of;
  // Oldest first, as the photos below: those of one moment stay as they were written.
  const measures = measuresFor(all, follow.of).toReversed();
  const ofOthers = new Set<string | null>(beside.map((other) => other.id));
  const isOwn = (one: { readonly episodeId: string | null }) => !ofOthers.has(one.episodeId);
  const standing = photos
    .toReversed()
    .filter(
      (photo) =>
        photo.deletedAt === null && (since === null || photo.takenOn >= since) && isOwn(photo),
    )
    .sort((a, b) => textOrder(a.takenOn, b.takenOn) || a.createdAt - b.createdAt);
  const [earlier, later] = [standing[0], standing.at(-1)];
  const judged: Judged[] = [];
  const breathe = breather();
  const seams = follow.seams.map(({ date }) => date);
  for (const one of follow.followed) {
    judged.push(...judgeAll([one], seams));
    await breathe();
  }
  return {
    today,
    rows: reviewRows(measures, detectable, today),
    photos: earlier && later && earlier !== later ? { earlier: earlier.id, later: later.id } : null,
    goals: file.goals.filter(isOwn).map(({ body }) => ({
      activity: body.activity,
      reachedOn: body.reachedOn,
    })),
    activities: activitiesIn(follow),
    newFindings: findings.proposed.map(({ say }) => say),
    // What was measured only at visits has no course; the table compares first with last.
    verdicts: follow.followed.flatMap((one, index) => {
      const verdict = judged[index]?.verdict;
      const silent = verdict?.course === 'not enough to say' && one.id !== 'pain';
      if (!verdict || silent) return [];
      return [
        {
          clinician: sayVerdict(one, verdict),
          patient: tellVerdict(one, verdict),
          referrer: referVerdict(one, verdict),
          of: { id: one.id, name: one.name, ...(one.measure && { measure: one.measure }) },
          told: verdictTold(verdict),
        },
      ];
    }),
    follow,
    letters,
    mayShare: consent?.body.sharing === true,
    episode,
    discharged: episode?.closedOn != null,
    complaint: episode?.complaint ?? '',
  };
}

function activitiesIn({ record }: Follow): Review['activities'] {
  const scores = new Map<string, number[]>();
  for (const [, { activities }] of [...record.reports].sort(([a], [b]) => textOrder(a, b)))
    for (const { activity, score } of activities)
      scores.set(activity, [...(scores.get(activity) ?? []), score]);
  return [...scores].map(([activity, all]) => ({
    activity,
    from: all[0] ?? 0,
    to: all.at(-1) ?? 0,
  }));
}

const nameOf = ({ kind, side }: ReviewRow) =>
  side ? `${kindOf(kind).name}, ${side}` : kindOf(kind).name;

/** A row in words for page and letter. */
export function rowInWords(row: ReviewRow) {
  const said = (measure: ReviewRow['last']) =>
    measure?.value == null
      ? '–'
      : `${formatMeasure(row.kind, measure.value)} (${shortDay(measure.on)})`;
  return {
    name: nameOf(row),
    first: said(row.first),
    last: said(row.last),
    verdict: sayChange(row.change) + (row.otherwise ? '; measured in another way' : ''),
  };
}

/** Writes the keep-going programme: every line once a day, every other day, without an end. */
export async function writeKeepGoing(
  member: SignedIn,
  draft: { readonly patientId: PatientId; readonly basedOn: number },
) {
  const patient = await patientFor(member, draft.patientId);
  const follow = await followOf(member, patient);
  const newest = follow.versions.at(-1);
  if (!newest || newest.number !== draft.basedOn)
    throw new Problem(409, 'Somebody has written a newer version. Load the page again.');
  return saveProgramme(member, {
    patientId: patient.id,
    basedOn: newest.number,
    effectiveFrom: await earliestStart(patient),
    reviewOn: null,
    rounds: newest.rounds,
    reason: 'Keep-going programme',
    lines: newest.lines.map((line) => ({
      lineage: line.lineage,
      exerciseId: line.exerciseId,
      dose: formatDose(keepGoing(line.dose)),
      school: line.school,
      session: line.session,
      overrides: [...line.overrides],
      setUp: [...line.setUp],
      episodeId: line.episodeId ?? null,
    })),
  });
}
