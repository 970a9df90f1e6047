import { NextResponse } from 'next/server';
import { ProgrammeFileOf } from '@/core/records';
import { roleSuffices } from '@/server/access';
import { currentMember } from '@/server/current';
import { programmeFile } from '@/server/desk/programme-files';
import { noteExport } from '@/server/exports';
import { NOT_ALLOWED, NOT_FOUND, NOT_SIGNED_IN, asProblem, logFailure } from '@/server/problem';

/** A ready programme, or one of the clinic's templates, as a file that another clinic can take in. */
export async function GET(request: Request): Promise<NextResponse> {
  const headers = { 'Cache-Control': 'private, no-store', 'X-Content-Type-Options': 'nosniff' };
  const refuse = (say: string, status: number) =>
    NextResponse.json({ ok: false, say }, { status, headers });
  try {
    const member = await currentMember();
    if (!member) return refuse(NOT_SIGNED_IN, 401);
    if (!roleSuffices(member.role, 'practitioner')) return refuse(NOT_ALLOWED, 403);
    const asked = ProgrammeFileOf.safeParse(
      Object.fromEntries(new URL(request.url).searchParams.entries()),
    );
    if (!asked.success) return refuse('Ask for a ready programme or a template.', 400);
    const file = await programmeFile(member.clinicId, asked.data);
    if (!file) return refuse(NOT_FOUND, 404);
    await noteExport(member, 'programme');
    return new NextResponse(file.text, {
      headers: {
        ...headers,
        'Content-Type': 'application/json; charset=utf-8',
        'Content-Disposition': `attachment; filename="programme.json"; filename*=UTF-8''${encodeURIComponent(`${file.name}.json`)}`,
      },
    });
  } catch (error) {
    logFailure('programme', error);
    const { say, status } = asProblem(error);
    return refuse(say, status);
  }
}
