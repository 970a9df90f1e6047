import { NextResponse } from 'next/server';
import { askingPatient } from '@/server/asking';
import { readersLanguage } from '@/server/patient/words';
import { readAnswer } from '@/server/read-answer';
import { shareStream, streamsHaveRoom } from '@/server/share/stream';

/** What the clinic shows this phone, as server-sent events while the page is open. */
export function GET(): Promise<NextResponse> {
  return readAnswer(
    'together',
    async () => {
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
    },
    readersLanguage,
  );
}
