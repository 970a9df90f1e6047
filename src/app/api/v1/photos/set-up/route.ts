import { PHOTO_LIMIT, PHOTO_TOO_LARGE, SetUpPhotoFacts } from '@/core/records';
import { bytesHandler } from '@/server/handler';
import { takeSetUpPhoto } from '@/server/visit/set-up-photos';

export const POST = bytesHandler({
  who: 'practitioner',
  query: SetUpPhotoFacts,
  limit: PHOTO_LIMIT,
  tooLarge: PHOTO_TOO_LARGE,
  run: async ({ actor, query, bytes }) => ({ value: await takeSetUpPhoto(actor, query, bytes) }),
});
