import { NextResponse } from 'next/server';
import { now } from '@/server/clock';

/** The server's time, so that two screens can count in step. It is the same for everybody. */
export function GET(): NextResponse {
  return NextResponse.json(
    { ok: true, value: now() },
    { headers: { 'Cache-Control': 'no-store' } },
  );
}
export const dynamic = 'force-dynamic';
