import type { NextResponse } from 'next/server';
import { publicOrigin } from '@/server/address';
import { calendarAnswer } from '@/server/calendar-answer';
import { visitCalendarBehind } from '@/server/visit/visit-calendar';

/** A member's next visits for a calendar program, which knows only this address. */
export function GET(request: Request): Promise<NextResponse> {
  return calendarAnswer(request, 'visit calendar', (token) =>
    visitCalendarBehind(token, publicOrigin(request)),
  );
}
