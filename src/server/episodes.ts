import { type ComplaintDraft, type EpisodeDraft, MOST_EPISODES } from '@/core/records';
import {
  AlreadyThere,
  GuardRefused,
  correctionsUnder,
  episodesOf,
  fewerEpisodesOpen,
  guard,
  insertCorrections,
  insertEpisode,
  putAtHand,
  setComplaint,
  setSearch,
} from '@/db';
import type { SignedIn } from './access';
import { openEpisodes, refuseWhileBegun } from './at-hand';
import { detailsFor, findable } from './details';
import { patientFor } from './people';
import { NOT_FOUND, Problem } from './problem';
import { todayOf } from './programme-facts';
import { writeAs } from './visit/write-as';

/**
 * Opens another episode of care, for another complaint; those that are open stay so. Who opens it goes on
 * with it.
 */
export async function openAnother(member: SignedIn, draft: EpisodeDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const { id, complaint, area } = draft;
  if (patient.archivedAt !== null)
    throw new Problem(409, 'The patient is in the archive. Fetch them back first.');
  const episodes = await episodesOf(clinicId, patient.id);
  const there = episodes.find((one) => one.id === id);
  if (there?.complaint === complaint) return;
  if (episodes.filter(({ closedOn }) => closedOn === null).length >= MOST_EPISODES)
    throw new Problem(
      409,
      `${MOST_EPISODES} episodes of this patient are open. Close one under Review first.`,
    );
  const [atHand] = await openEpisodes(member, patient.id);
  if (atHand) await refuseWhileBegun(member, patient.id, atHand);
  const { details } = await detailsFor(patient);
  const search = await findable(patient, details, [
    complaint,
    ...episodes.map((one) => one.complaint),
  ]);
  await writeAs(member, 'practitioner', {
    verb: 'opened',
    subject: { kind: 'episode', id },
    statements: () => [
      guard('episode', fewerEpisodesOpen(clinicId, patient.id, MOST_EPISODES)),
      insertEpisode({
        clinicId,
        id,
        patientId: patient.id,
        complaint,
        area,
        openedOn: todayOf(patient),
        closedOn: null,
      }),
      putAtHand({ clinicId, memberId: member.id, patientId: patient.id, episodeId: id }),
      setSearch(clinicId, patient.id, search),
    ],
  });
}

/** Puts right what the open episode is about; what stood there before is kept in the file. */
export async function correctComplaint(member: SignedIn, draft: ComplaintDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const { id, episodeId, complaint, area, was } = draft;
  const episodes = await episodesOf(clinicId, patient.id);
  const episode = episodes.find((one) => one.id === episodeId);
  if (!episode) throw new Problem(404, NOT_FOUND);
  if (episode.closedOn !== null)
    throw new Problem(409, 'This episode is closed: what it was about stays as it was.');
  const changes = [
    ['complaint', episode.complaint, complaint],
    ['mainly of', episode.area ?? '', area ?? ''],
  ] as const;
  const changed = changes.filter(([, before, after]) => before !== after);
  if ((await correctionsUnder(clinicId, id)).length > 0) {
    if (changed.length === 0) return;
    throw new AlreadyThere();
  }
  if (changed.length === 0) return;
  if (was.complaint !== episode.complaint || was.area !== episode.area)
    throw new GuardRefused('newest');
  const { details } = await detailsFor(patient);
  const search = await findable(
    patient,
    details,
    episodes.map((one) => (one.id === episodeId ? complaint : one.complaint)),
  );
  await writeAs(member, 'practitioner', {
    verb: 'put right the complaint of',
    subject: { kind: 'episode', id: episodeId },
    statements: (at) => [
      insertCorrections(
        changed.map(([field, before, after]) => ({
          clinicId,
          id,
          patientId: patient.id,
          createdAt: at,
          authorId: member.id,
          field,
          before,
          after,
        })),
      ),
      setComplaint(clinicId, episode.id, { complaint, area }),
      setSearch(clinicId, patient.id, search),
    ],
  });
}
