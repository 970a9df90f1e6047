import { NextResponse } from 'next/server';
import { recordAnswers } from '@/server/ready';

export const dynamic = 'force-dynamic';

/** The record can be read, so that people can be sent here. */
export async function GET(): Promise<NextResponse> {
  const ok = await recordAnswers();
  return NextResponse.json(
    { ok },
    { status: ok ? 200 : 503, headers: { 'Cache-Control': 'no-store' } },
  );
}
