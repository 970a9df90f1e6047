import { NextResponse } from 'next/server';
import { type Problem, sayRefusal } from '../problem';
import { readersLanguage } from './words';

/** Why a phone is answered nothing, in the language of whoever reads it. */
export async function refused(problem: Problem): Promise<NextResponse> {
  const say = sayRefusal(problem, await readersLanguage());
  return NextResponse.json({ ok: false, say }, { status: problem.status });
}
