import { PhotoDelete } from '@/core/records';
import { handler } from '@/server/handler';
import { deletePhotoForGood } from '@/server/visit/photos';

export const POST = handler({
  who: 'practitioner',
  input: PhotoDelete,
  run: async ({ actor, input }) => {
    await deletePhotoForGood(actor, input.patientId, input.photoId);
    return {};
  },
});
