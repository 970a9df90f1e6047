import type { NextResponse } from 'next/server';
import { calendarAnswer } from '@/server/calendar-answer';
import { calendarBehind } from '@/server/patient/calendar';

/** A patient's calendar for the phone's own calendar program, which knows only this address. */
export function GET(request: Request): Promise<NextResponse> {
  return calendarAnswer(request, 'calendar', calendarBehind);
}
