import { NextResponse } from 'next/server';
import { ExerciseFile } from '@/core/records';
import { roleSuffices } from '@/server/access';
import { currentMember } from '@/server/current';
import { exportExercises } from '@/server/desk/exercises';
import { noteExport } from '@/server/exports';
import { NOT_ALLOWED, NOT_SIGNED_IN, asProblem, logFailure } from '@/server/problem';

const TYPES = { csv: 'text/csv; charset=utf-8', json: 'application/json' } as const;

/** The clinic's exercises as a file, in a form that can be taken in again. */
export async function GET(request: Request): Promise<NextResponse> {
  const headers = { 'Cache-Control': 'private, no-store', 'X-Content-Type-Options': 'nosniff' };
  const refuse = (say: string, status: number) =>
    NextResponse.json({ ok: false, say }, { status, headers });
  try {
    const member = await currentMember();
    if (!member) return refuse(NOT_SIGNED_IN, 401);
    if (!roleSuffices(member.role, 'practitioner')) return refuse(NOT_ALLOWED, 403);
    const asked = ExerciseFile.safeParse(
      Object.fromEntries(new URL(request.url).searchParams.entries()),
    );
    if (!asked.success) return refuse('Ask for csv or json, own or all.', 400);
    const { format, of } = asked.data;
    const file = await exportExercises(member.clinicId, format, of);
    await noteExport(member, 'exercises');
    return new NextResponse(file, {
      headers: {
        ...headers,
        'Content-Type': TYPES[format],
        'Content-Disposition': `attachment; filename="exercises-${of}.${format}"`,
      },
    });
  } catch (error) {
    logFailure('exercises', error);
    const { say, status } = asProblem(error);
    return refuse(say, status);
  }
}
