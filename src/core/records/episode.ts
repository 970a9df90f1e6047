import { z } from 'zod';
import { EPISODE_AREAS } from '../measures';
import { recordId, words } from './words';

const about = {
  complaint: words('The complaint', 200),
  /** What it is mainly of; null where nobody chose. */
  area: z.enum(EPISODE_AREAS, { error: 'Choose what the complaint is mainly of.' }).nullable(),
};

/** Another complaint of a patient, beside those that are treated or after them. */
export const EpisodeDraft = z.object({ id: recordId, patientId: recordId, ...about });
export type EpisodeDraft = z.infer<typeof EpisodeDraft>;

/** Which of a patient's open episodes a member goes on with. */
export const AtHandDraft = z.object({ patientId: recordId, episodeId: recordId });
export type AtHandDraft = z.infer<typeof AtHandDraft>;

/** What the open episode is about, put right. */
export const ComplaintDraft = z.object({
  id: recordId,
  patientId: recordId,
  episodeId: recordId,
  ...about,
  /** As the page had it: another one may have put it right meanwhile. */
  was: z.object({ complaint: z.string().max(200), area: z.string().max(20).nullable() }),
});
export type ComplaintDraft = z.infer<typeof ComplaintDraft>;
