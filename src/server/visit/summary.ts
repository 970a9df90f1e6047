import { summarise } from '@/core/adherence';
import { type Followed, PAIN_MATTERS, judgeCourse, sayVerdict } from '@/core/follow';
import { adherenceHistory, firstDay, worstPain } from '@/core/history';
import { LANTERN_DAYS } from '@/core/morning';
import type { ContactBody, NextVisitBody, VisitWay } from '@/core/records';
import { type LocalDate, addDays, daysBetween } from '@/core/units';
import {
  type OpenItem,
  type VisitDeed,
  type VisitStep,
  doingInWords,
  openItems,
  stepsDone,
} from '@/core/visits';
import {
  type Episode,
  type Patient,
  deedsOf,
  entriesOf,
  episodesOf,
  membersOf,
  newestLinkOf,
  openAlertsOf,
  papersOf,
  visitOn,
  visitsOf,
} from '@/db';
import type { SignedIn } from '../access';
import { proposalsOf } from '../follow/proposals';
import { factsOf, todayOf } from '../programme-facts';
import { findingList } from './findings';
import { keptVisitDraft } from './visit-drafts';
import { screeningState } from './screening';

/** A day of the timeline: a visit, or that the clinic called or wrote. */
export type TimelineDay = {
  readonly id: string;
  readonly on: LocalDate;
  readonly way: VisitWay | null;
  readonly deeds: readonly VisitDeed[];
  readonly contacts: readonly {
    readonly id: string;
    readonly body: ContactBody;
    readonly by: string;
  }[];
};

export type Summary = {
  readonly today: LocalDate;
  readonly episodes: readonly Episode[];
  /** The one that is shown. */
  readonly episode: Episode | null;
  readonly isOpen: boolean;
  readonly goals: readonly { readonly activity: string; readonly reachedOn: LocalDate | null }[];
  /** Days since the first day of the programme in this episode; null before it. */
  readonly daysIn: number | null;
  readonly doing: string | null;
  readonly helping: string | null;
  readonly open: readonly OpenItem[];
  readonly next: {
    readonly id: string;
    readonly on: LocalDate;
    readonly body: NextVisitBody;
  } | null;
  readonly timeline: readonly TimelineDay[];
};

/** Older days of an episode are not read for one sentence. */
const MOST_DAYS = 366;

/**
 * What a file shows first, of one episode.
 *
 * @param episodeId an earlier one; null for the newest
 */
export async function summaryOf(
  member: SignedIn,
  patient: Patient,
  episodeId: string | null,
): Promise<Summary> {
  const { clinicId, id } = patient;
  const today = todayOf(patient);
  const episodes = await episodesOf(clinicId, id);
  const episode = episodes.find((one) => one.id === episodeId) ?? episodes[0] ?? null;
  const isNewest = episode !== null && episode.id === episodes[0]?.id;
  const until = episode?.closedOn ?? today;
  const start = episode?.openedOn ?? today;
  const earliest = addDays(until, 1 - MOST_DAYS);
  const from = start > earliest ? start : earliest;
  const [[facts], visits, deeds, entries, members, open] = await Promise.all([
    factsOf(clinicId, [patient], from, until),
    episode ? visitsOf(clinicId, id, episode.id) : [],
    deedsOf(clinicId, id),
    entriesOf(clinicId, id, ['goal', 'contact', 'visit-way', 'next-visit']),
    membersOf(clinicId),
    isNewest ? openIn(member, patient) : [],
  ]);
  const names = new Map<string, string>(members.map((one) => [one.id, one.name]));
  const begun = facts
    ? firstDay(facts.versions.filter(({ effectiveFrom }) => effectiveFrom >= start))
    : null;
  const days =
    facts && begun !== null && begun <= until
      ? adherenceHistory(facts, later(begun, addDays(until, 1 - LANTERN_DAYS)), until)
      : null;
  const pain: Followed = {
    id: 'pain',
    name: 'Worst pain',
    unit: 'of 10',
    matters: PAIN_MATTERS,
    readings: (facts?.doneRows ?? []).flatMap(({ localDate, report }) => {
      const value = worstPain(report);
      return value === null ? [] : [{ date: localDate, value }];
    }),
  };
  const ofEpisode = <E extends { readonly episodeId: string | null }>(list: readonly E[]) =>
    list.filter((one) => one.episodeId === episode?.id);
  const own = ofEpisode(entries);
  const [next] = own.flatMap((one) =>
    one.kind === 'next-visit' && one.body
      ? [{ id: one.id, on: one.localDate, body: one.body }]
      : [],
  );
  return {
    today,
    episodes,
    episode,
    isOpen: episode !== null && episode.closedOn === null,
    goals: own.flatMap((one) =>
      one.kind === 'goal' && one.body
        ? [{ activity: one.body.activity, reachedOn: one.body.reachedOn }]
        : [],
    ),
    daysIn: begun !== null && begun <= until ? daysBetween(begun, until) + 1 : null,
    doing: days && doingInWords(summarise(days), days.length),
    helping:
      pain.readings.length === 0
        ? null
        : sayVerdict(pain, judgeCourse(pain.readings, PAIN_MATTERS)),
    open,
    next: next && next.body.date >= today ? next : null,
    timeline: visits.map((visit) => ({
      id: visit.id,
      on: visit.localDate,
      way:
        own.flatMap((one) =>
          one.kind === 'visit-way' && one.localDate === visit.localDate && one.body
            ? [one.body.way]
            : [],
        )[0] ?? null,
      deeds: [...(deeds.get(visit.id) ?? [])],
      contacts: own.flatMap((one) =>
        one.kind === 'contact' && one.localDate === visit.localDate && one.body
          ? [{ id: one.id, body: one.body, by: names.get(one.authorId) ?? '' }]
          : [],
      ),
    })),
  };
}

const later = (a: LocalDate, b: LocalDate) => (a > b ? a : b);

async function openIn(member: SignedIn, patient: Patient): Promise<readonly OpenItem[]> {
  const { clinicId, id } = patient;
  const [screening, alerts, proposals, findings, note, teaching, link, papers] = await Promise.all([
    screeningState(patient),
    openAlertsOf(clinicId, [id]),
    proposalsOf(patient),
    findingList(patient),
    keptVisitDraft(member, id, 'note'),
    keptVisitDraft(member, id, 'teach'),
    newestLinkOf(clinicId, id),
    papersOf(clinicId, id),
  ]);
  const today = todayOf(patient);
  const [newest] = proposals ? await factsOf(clinicId, [patient], today, today) : [];
  return openItems({
    today,
    alerts: alerts.length,
    answersWait: screening.waiting !== null,
    openReferrals: screening.openReferrals,
    unreadPapers: papers.filter(({ readAt }) => readAt === null).length,
    proposals: proposals?.open.length ?? 0,
    findings: findings.proposed.length,
    unsignedNote: note !== null,
    unsignedTeaching: teaching !== null,
    reviewOn: newest?.versions.at(-1)?.reviewOn ?? null,
    programme: proposals !== null,
    linkOpened: link?.openedAt != null && link.revokedAt === null,
  });
}

/** The steps of which something was done at today's visit. */
export async function stepsToday(patient: Patient): Promise<readonly VisitStep[]> {
  const visit = await visitOn(patient.clinicId, patient.id, todayOf(patient));
  if (!visit) return [];
  const deeds = await deedsOf(patient.clinicId, patient.id);
  return stepsDone([...(deeds.get(visit.id) ?? [])]);
}
