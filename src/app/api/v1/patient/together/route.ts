import { NextResponse } from 'next/server';
import { askingPatient } from '@/server/asking';
import { Problem, asProblem, logFailure } from '@/server/problem';
import { refused } from '@/server/patient/refused';
import { shareStream, streamsHaveRoom } from '@/server/share/stream';

/** What the clinic shows this phone, as server-sent events while the page is open. */
export async function GET(): Promise<NextResponse> {
  try {
    const here = await askingPatient();
    if (!streamsHaveRoom()) return new NextResponse(null, { status: 503 });
    return new NextResponse(shareStream(here), {
      headers: {
        'Content-Type': 'text/event-stream; charset=utf-8',
        // Nothing on the way may keep it back to make it smaller.
        'Cache-Control': 'no-store, no-transform',
        'X-Accel-Buffering': 'no',
      },
    });
  } catch (error) {
    if (!(error instanceof Problem)) logFailure('together', error);
    return refused(asProblem(error));
  }
}
