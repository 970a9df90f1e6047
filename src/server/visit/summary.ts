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
  visitsOn,
  visitsOf,
} from '@/db';
import { recordFor } from '@/core/outlook';
import type { SignedIn } from '../access';
import { followedEpisode, openEpisodes } from '../at-hand';
import { proposalsOf } from '../follow/proposals';
import { type PatientFacts, factsOf, todayOf } from '../programme-facts';
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
 * @param episodeId another one; null for the one at hand
 */
export async function summaryOf(
  member: SignedIn,
  patient: Patient,
  episodeId: string | null,
): Promise<Summary> {
  const { clinicId, id } = patient;
  const today = todayOf(patient);
  const [all, followed] = await Promise.all([
    episodesOf(clinicId, id),
    followedEpisode(member, patient),
  ]);
  const first = followed.episode;
  // The one at hand first, then the other open ones, then those that were.
  const rank = (one: Episode) => (one.id === first?.id ? 0 : one.closedOn === null ? 1 : 2);
  const episodes = [...all].sort((a, b) => rank(a) - rank(b));
  const episode = episodes.find((one) => one.id === episodeId) ?? first;
  const isAtHand = episode !== null && episode.id === first?.id;
  const until = episode?.closedOn ?? today;
  const start = episode?.openedOn ?? today;
  const earliest = addDays(until, 1 - MOST_DAYS);
  const from = start > earliest ? start : earliest;
  const [[read], visits, deeds, entries, members, open] = await Promise.all([
    factsOf(clinicId, [patient], from, until),
    episode ? visitsOf(clinicId, id, episode.id) : [],
    deedsOf(clinicId, id),
    entriesOf(clinicId, id, ['goal', 'contact', 'visit-way', 'next-visit']),
    membersOf(clinicId),
    isAtHand ? openIn(member, patient) : [],
  ]);
  const names = new Map<string, string>(members.map((one) => [one.id, one.name]));
  const own = episode && read ? recordOf(read, episode, all) : null;
  const facts = own?.facts;
  const begun = facts
    ? firstDay(
        facts.versions.filter(
          ({ effectiveFrom, lines }) =>
            effectiveFrom >= start &&
            lines.some(({ lineage }) => facts.counted?.has(lineage) ?? true),
        ),
      )
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
    readings: [...(own?.reports ?? [])].flatMap(([date, report]) => {
      const value = worstPain(report);
      return value === null ? [] : [{ date, value }];
    }),
  };
  const ofEpisode = <E extends { readonly episodeId: string | null }>(list: readonly E[]) =>
    list.filter((one) => one.episodeId === episode?.id);
  const written = ofEpisode(entries);
  // They come as one person, whichever complaint was at hand when it was agreed.
  const [next] = (isAtHand ? entries : written).flatMap((one) =>
    one.kind === 'next-visit' && one.body
      ? [{ id: one.id, on: one.localDate, body: one.body }]
      : [],
  );
  return {
    today,
    episodes,
    episode,
    isOpen: episode !== null && episode.closedOn === null,
    goals: written.flatMap((one) =>
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
        written.flatMap((one) =>
          one.kind === 'visit-way' && one.localDate === visit.localDate && one.body
            ? [one.body.way]
            : [],
        )[0] ?? null,
      deeds: [...(deeds.get(visit.id) ?? [])],
      contacts: written.flatMap((one) =>
        one.kind === 'contact' && one.localDate === visit.localDate && one.body
          ? [{ id: one.id, body: one.body, by: names.get(one.authorId) ?? '' }]
          : [],
      ),
    })),
  };
}

/** What was done and told, as one of the patient's episodes has it. */
function recordOf(facts: PatientFacts, episode: Episode, all: readonly Episode[]) {
  const reports = new Map(facts.doneRows.map((row) => [row.localDate, row.report] as const));
  return recordFor(
    { facts, reports },
    episode,
    all.filter(({ id }) => id !== episode.id),
  );
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

/** The steps of which something was done at today's visit for the complaint at hand. */
export async function stepsToday(
  member: SignedIn,
  patient: Patient,
): Promise<readonly VisitStep[]> {
  const { clinicId, id } = patient;
  const [[open], visits] = await Promise.all([
    openEpisodes(member, id),
    visitsOn(clinicId, id, todayOf(patient)),
  ]);
  if (visits.length === 0) return [];
  const deeds = await deedsOf(clinicId, id);
  return stepsDone(
    visits.flatMap((visit) =>
      [...(deeds.get(visit.id) ?? [])].filter(
        // Whoever is screened is screened for all they come with.
        (deed) => deed === 'screened' || visit.episodeId === open?.id || !open,
      ),
    ),
  );
}
