import { NextResponse } from 'next/server';
import { type PhotoId } from '@/core/units';
import { recordId } from '@/core/records';
import { NOT_FOUND, Problem } from './problem';
import { FOR_WHO_ASKED, readAnswer } from './read-answer';

/**
 * Answers with a photo's picture, never kept on the way.
 *
 * @param who finds who asks, or refuses them
 * @param of whose picture it is: finds the bytes, or null where there is none for whoever asks
 */
export function pictureAnswer<Asker>(
  request: Request,
  who: () => Promise<Asker>,
  of: (asker: Asker, id: PhotoId) => Promise<Buffer | null>,
): Promise<NextResponse> {
  return readAnswer('picture', async () => {
    const asker = await who();
    const id = recordId.safeParse(new URL(request.url).searchParams.get('id'));
    const picture = id.success ? await of(asker, id.data) : null;
    if (!picture) throw new Problem(404, NOT_FOUND);
    return new NextResponse(new Uint8Array(picture), {
      headers: { ...FOR_WHO_ASKED, 'Content-Type': 'image/jpeg', 'Content-Disposition': 'inline' },
    });
  });
}
