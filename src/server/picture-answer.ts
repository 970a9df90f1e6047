import { NextResponse } from 'next/server';
import { type PhotoId } from '@/core/units';
import { recordId } from '@/core/records';
import { NOT_FOUND, Problem, asProblem, logFailure } from './problem';

/**
 * Answers with a photo's picture, never kept on the way.
 *
 * @param who finds who asks, or refuses them
 * @param of whose picture it is: finds the bytes, or null where there is none for whoever asks
 */
export async function pictureAnswer<Asker>(
  request: Request,
  who: () => Promise<Asker>,
  of: (asker: Asker, id: PhotoId) => Promise<Buffer | null>,
): Promise<NextResponse> {
  const headers = { 'Cache-Control': 'private, no-store', 'X-Content-Type-Options': 'nosniff' };
  const refuse = (say: string, status: number) =>
    NextResponse.json({ ok: false, say }, { status, headers });
  try {
    const asker = await who();
    const id = recordId.safeParse(new URL(request.url).searchParams.get('id'));
    const picture = id.success ? await of(asker, id.data) : null;
    if (!picture) return refuse(NOT_FOUND, 404);
    return new NextResponse(new Uint8Array(picture), {
      headers: { ...headers, 'Content-Type': 'image/jpeg', 'Content-Disposition': 'inline' },
    });
  } catch (error) {
    const { say, status } = asProblem(error);
    if (!(error instanceof Problem)) logFailure('picture', error);
    return refuse(say, status);
  }
}
