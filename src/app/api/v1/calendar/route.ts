import { NextResponse } from 'next/server';
import { calendarBehind } from '@/server/patient/calendar';
import { asProblem, logFailure } from '@/server/problem';

/** A patient's calendar for the phone's own calendar program, which knows only this address. */
export async function GET(request: Request): Promise<NextResponse> {
  const headers = { 'Cache-Control': 'private, no-store', 'X-Content-Type-Options': 'nosniff' };
  try {
    const token = new URL(request.url).searchParams.get('token') ?? '';
    return new NextResponse(await calendarBehind(token), {
      headers: { ...headers, 'Content-Type': 'text/calendar; charset=utf-8' },
    });
  } catch (error) {
    const { say, status } = asProblem(error);
    if (status >= 500) logFailure('calendar', error);
    return NextResponse.json({ ok: false, say }, { status, headers });
  }
}
