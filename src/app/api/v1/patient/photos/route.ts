import { OwnPhoto, PHOTO_LIMIT, PHOTO_TOO_LARGE } from '@/core/records';
import { bytesHandler } from '@/server/handler';
import { takeOwnPhoto } from '@/server/visit/photos';

export const POST = bytesHandler({
  who: 'patient',
  query: OwnPhoto,
  limit: PHOTO_LIMIT,
  tooLarge: PHOTO_TOO_LARGE,
  run: async ({ actor, query, bytes }) => ({ value: await takeOwnPhoto(actor, query.id, bytes) }),
});
