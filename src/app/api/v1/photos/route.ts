import { PHOTO_LIMIT, PHOTO_TOO_LARGE, PhotoFacts } from '@/core/records';
import { bytesHandler } from '@/server/handler';
import { takePhoto } from '@/server/visit/photos';

export const POST = bytesHandler({
  who: 'assistant',
  query: PhotoFacts,
  limit: PHOTO_LIMIT,
  tooLarge: PHOTO_TOO_LARGE,
  run: async ({ actor, query, bytes }) => ({ value: await takePhoto(actor, query, bytes) }),
});
