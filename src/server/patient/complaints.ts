import type { SentLine } from '@/core/programme';
import type { EpisodeId } from '@/core/units';
import { type Patient, episodesOf } from '@/db';

/** A patient's complaints as their phone and paper name them, where there is more than one to mistake. */
export type Complaints = {
  /** Those that are treated, the longest first; empty where fewer than two are. */
  readonly open: readonly { readonly id: EpisodeId; readonly name: string }[];
  /** What a line is for; null where all lines are for the same. */
  readonly of: (line: Pick<SentLine, 'episodeId'>) => string | null;
};

/** The patient's complaints, with what each line of a programme is for. */
export async function complaintsOf(
  { clinicId, id }: Patient,
  lines: readonly Pick<SentLine, 'episodeId'>[],
): Promise<Complaints> {
  const episodes = await episodesOf(clinicId, id);
  const open = episodes
    .filter(({ closedOn }) => closedOn === null)
    .map((one) => ({ id: one.id, name: one.complaint }))
    .reverse();
  const names = new Map(episodes.map((one) => [one.id, one.complaint]));
  const isMixed = open.length > 1 || new Set(lines.map(({ episodeId }) => episodeId)).size > 1;
  return {
    open: open.length > 1 ? open : [],
    of: ({ episodeId }) => (isMixed && episodeId ? (names.get(episodeId) ?? null) : null),
  };
}
