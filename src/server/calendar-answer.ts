import { NextResponse } from 'next/server';
import { FOR_WHO_ASKED, readAnswer } from './read-answer';

/**
 * Answers a calendar program with the calendar behind its token, all that it knows.
 *
 * @param what as it is called in the log
 * @param behind the calendar's text, or why there is none
 */
export function calendarAnswer(
  request: Request,
  what: string,
  behind: (token: string) => Promise<string>,
): Promise<NextResponse> {
  return readAnswer(what, async () => {
    const token = new URL(request.url).searchParams.get('token') ?? '';
    return new NextResponse(await behind(token), {
      headers: { ...FOR_WHO_ASKED, 'Content-Type': 'text/calendar; charset=utf-8' },
    });
  });
}
