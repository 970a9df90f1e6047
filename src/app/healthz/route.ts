import { NextResponse } from 'next/server';

export const dynamic = 'force-dynamic';

/** The process answers; whether it can work is asked of /readyz. */
export function GET(): NextResponse {
  return NextResponse.json({ ok: true }, { headers: { 'Cache-Control': 'no-store' } });
}
