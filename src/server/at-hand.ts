import { z } from 'zod';
import { type EpisodeSpan, overlaps } from '@/core/outlook';
import { type AtHandDraft, recordId } from '@/core/records';
import type { LocalDate, PatientId } from '@/core/units';
import {
  type Episode,
  type Patient,
  type VisitDraftKind,
  entriesOf,
  episodeIsOpen,
  episodesOf,
  guard,
  openEpisodesOf,
  putAtHand,
} from '@/db';
import type { SignedIn } from './access';
import { patientFor } from './people';
import { NOT_FOUND, Problem } from './problem';
import type { Measure } from './visit/measuring';
import { keptVisitDraft } from './visit/visit-drafts';
import { writeAs } from './visit/write-as';

/** A patient's open episodes, the one this member has at hand first. */
export function openEpisodes(member: SignedIn, patientId: PatientId): Promise<Episode[]> {
  return openEpisodesOf({ clinicId: member.clinicId, memberId: member.id, patientId });
}

/** What is begun for one complaint and would be signed for the other. */
const OF_A_COMPLAINT = {
  note: 'a note',
  measures: 'measures',
  teach: 'a teaching',
  history: 'a history',
  goal: 'a goal',
  care: 'an entry of other care',
} as const satisfies Partial<Record<VisitDraftKind, string>>;

async function begun(member: SignedIn, patientId: PatientId): Promise<string[]> {
  const kinds = Object.keys(OF_A_COMPLAINT) as (keyof typeof OF_A_COMPLAINT)[];
  const kept = await Promise.all(kinds.map((kind) => keptVisitDraft(member, patientId, kind)));
  return kinds.filter((_, at) => kept[at] !== null).map((kind) => OF_A_COMPLAINT[kind]);
}

/** @throws Problem 409 while something is begun for the episode at hand and not signed */
export async function refuseWhileBegun(
  member: SignedIn,
  patientId: PatientId,
  { complaint }: Pick<Episode, 'complaint'>,
): Promise<void> {
  const left = await begun(member, patientId);
  if (left.length > 0)
    throw new Problem(
      409,
      `You have begun ${left.join(' and ')} for “${complaint}”. Save or discard it first: it would stand with the other complaint.`,
    );
}

/**
 * Goes on with another of a patient's open episodes: what this member writes from now on is of it.
 *
 * @throws Problem 404 where it is none of the patient's open ones; 409 while something is begun for the
 *   one at hand and not signed
 */
export async function takeInHand(member: SignedIn, draft: AtHandDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const { episodeId } = draft;
  const open = await openEpisodes(member, patient.id);
  if (!open.some(({ id }) => id === episodeId)) throw new Problem(404, NOT_FOUND);
  const [atHand] = open;
  if (atHand?.id === episodeId) return;
  if (atHand) await refuseWhileBegun(member, patient.id, atHand);
  await writeAs(member, 'assistant', {
    verb: 'took in hand',
    subject: { kind: 'episode', id: episodeId },
    statements: () => [
      guard('episode', episodeIsOpen(clinicId, patient.id, episodeId)),
      putAtHand({ clinicId, memberId: member.id, patientId: patient.id, episodeId }),
    ],
  });
}

/** The header by which a page says of which episode it was: patient and episode. */
export const AT_HAND_HEADER = 'x-episode-at-hand';
const AtHand = z.tuple([recordId, recordId]);

/**
 * Refuses a write of a page that shows another complaint than the one at hand: in another window somebody
 * went on with that one, and the words would stand in the wrong episode. What is about nobody, or about
 * another patient, is let through: locking the desk and looking for somebody are never refused.
 *
 * @param about the patient that what was sent is about
 * @throws Problem 409, or 400 where the header is none of ours
 */
export async function checkAtHand(
  member: SignedIn,
  about: PatientId,
  header: string | null,
): Promise<void> {
  if (header === null) return;
  const parsed = AtHand.safeParse(header.split(' '));
  if (!parsed.success) throw new Problem(400, 'This was not sent by a page of ours.');
  const [patientId, episodeId] = parsed.data;
  if (patientId !== about) return;
  const [atHand] = await openEpisodes(member, patientId);
  if (atHand?.id === episodeId) return;
  throw new Problem(
    409,
    atHand
      ? `In another window you went on with “${atHand.complaint}”. Nothing was saved; what you typed stays here. Choose at the head of the file what it is about, then save again.`
      : 'This episode of care was closed in the meantime. Nothing was saved; what you typed stays here.',
  );
}

/** One complaint of a patient as its course is read: with what was treated beside it. */
export type FollowedEpisode = {
  readonly episode: Episode | null;
  /** The patient's other episodes that ran on some of its days. */
  readonly beside: readonly EpisodeSpan[];
  /** Its first day, where another episode was before or beside it; null where there was no other. */
  readonly since: LocalDate | null;
  /** Activities that are goals of the others alone. */
  readonly notOwn: ReadonlySet<string>;
};

/** The episode at hand with what is to be kept apart from it; the newest where none is open. */
export async function followedEpisode(
  member: SignedIn,
  patient: Patient,
): Promise<FollowedEpisode> {
  const { clinicId, id } = patient;
  const [all, [atHand]] = await Promise.all([episodesOf(clinicId, id), openEpisodes(member, id)]);
  const episode = atHand ?? all[0] ?? null;
  const others = all.filter((one) => one.id !== episode?.id);
  const beside = episode ? others.filter((one) => overlaps(episode, one)) : [];
  return {
    episode,
    beside,
    since: episode !== null && others.length > 0 ? episode.openedOn : null,
    notOwn: beside.length > 0 ? await goalsOfOthers(patient, episode) : new Set(),
  };
}

async function goalsOfOthers(
  { clinicId, id }: Patient,
  episode: Episode | null,
): Promise<ReadonlySet<string>> {
  const goals = await entriesOf(clinicId, id, ['goal']);
  const of = (isOwn: boolean) =>
    goals.flatMap((goal) =>
      goal.kind === 'goal' && goal.body && (goal.episodeId === episode?.id) === isOwn
        ? [goal.body.activity]
        : [],
    );
  const own = new Set(of(true));
  return new Set(of(false).filter((activity) => !own.has(activity)));
}

/** Measurements of a followed episode: since its first day, and none that was taken for one beside it. */
export function measuresFor(
  measures: readonly Measure[],
  { since, beside }: Pick<FollowedEpisode, 'since' | 'beside'>,
): Measure[] {
  const others = new Set<string | null>(beside.map(({ id }) => id));
  return measures.filter(
    ({ on, episodeId }) => (since === null || on >= since) && !others.has(episodeId),
  );
}
