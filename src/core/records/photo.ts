import { z } from 'zod';
import { millimetres } from '../units';
import { dateText, recordId } from './words';

/** What is said of a photo beside its bytes; it stands in the address, so ids and a date only. */
export const PhotoFacts = z.object({
  id: recordId,
  patientId: recordId,
  takenOn: dateText,
});
export type PhotoFacts = z.infer<typeof PhotoFacts>;

const point = z.object({
  x: z.number().min(-100).max(20_000),
  y: z.number().min(-100).max(20_000),
});

export const MarkingDraft = z.object({
  id: recordId,
  patientId: recordId,
  photoId: recordId,
  marks: z.object({
    facing: z.enum(['left', 'right']),
    tragus: point,
    c7: point,
    shoulder: point.nullable(),
    eye: point.nullable(),
    reference: z.object({ kind: z.enum(['vertical', 'level']), a: point, b: point }).nullable(),
    scale: z
      .object({
        a: point,
        b: point,
        millimetres: z
          .number({ error: 'Write the known length in millimetres.' })
          .min(10, 'The known length is 10 to 3000 mm.')
          .max(3000, 'The known length is 10 to 3000 mm.')
          .transform(millimetres),
      })
      .nullable(),
  }),
});
export type MarkingDraft = z.infer<typeof MarkingDraft>;

export const PhotoDelete = z.object({ patientId: recordId, photoId: recordId });

/** A side photo taken at home, by a helper with the patient's own phone. */
export const OwnPhoto = z.object({ id: recordId });
export type OwnPhoto = z.infer<typeof OwnPhoto>;

/** A photo of this patient's set-up for one line, taken in the room. */
export const SetUpPhotoFacts = z.object({ id: recordId, patientId: recordId, lineage: recordId });
export type SetUpPhotoFacts = z.infer<typeof SetUpPhotoFacts>;
