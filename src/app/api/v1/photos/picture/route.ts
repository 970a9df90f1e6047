import { NextResponse } from 'next/server';
import { recordId } from '@/core/records';
import { currentMember } from '@/server/current';
import { NOT_FOUND, NOT_SIGNED_IN, asProblem, logFailure } from '@/server/problem';
import { pictureFor } from '@/server/visit/photos';

/** A photo's picture, to a member of its clinic only, and never kept on the way. */
export async function GET(request: Request): Promise<NextResponse> {
  const headers = { 'Cache-Control': 'private, no-store', 'X-Content-Type-Options': 'nosniff' };
  const refuse = (say: string, status: number) =>
    NextResponse.json({ ok: false, say }, { status, headers });
  try {
    const member = await currentMember();
    if (!member) return refuse(NOT_SIGNED_IN, 401);
    const id = recordId.safeParse(new URL(request.url).searchParams.get('id'));
    const picture = id.success ? await pictureFor(member, id.data) : null;
    if (!picture) return refuse(NOT_FOUND, 404);
    return new NextResponse(new Uint8Array(picture), {
      headers: { ...headers, 'Content-Type': 'image/jpeg', 'Content-Disposition': 'inline' },
    });
  } catch (error) {
    logFailure('picture', error);
    const { say, status } = asProblem(error);
    return refuse(say, status);
  }
}
