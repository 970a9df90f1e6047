import { NextResponse } from 'next/server';
import { publicOrigin } from '@/server/address';
import { asProblem, logFailure } from '@/server/problem';
import { visitCalendarBehind } from '@/server/visit/visit-calendar';

/** A member's next visits for a calendar program, which knows only this address. */
export async function GET(request: Request): Promise<NextResponse> {
  const headers = { 'Cache-Control': 'private, no-store', 'X-Content-Type-Options': 'nosniff' };
  try {
    const token = new URL(request.url).searchParams.get('token') ?? '';
    return new NextResponse(await visitCalendarBehind(token, publicOrigin(request)), {
      headers: { ...headers, 'Content-Type': 'text/calendar; charset=utf-8' },
    });
  } catch (error) {
    const { say, status } = asProblem(error);
    if (status >= 500) logFailure('visit calendar', error);
    return NextResponse.json({ ok: false, say }, { status, headers });
  }
}
