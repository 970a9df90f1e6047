import 'server-only';
import { NextResponse } from 'next/server';
import type { z } from 'zod';
import type { SignedIn } from './access';
import { askingMember } from './asking';
import { noteExport } from './exports';
import { NOT_FOUND, Problem } from './problem';
import { FOR_WHO_ASKED, readAnswer } from './read-answer';

type Asked<S extends z.ZodType> = {
  /** What stands in the address; nothing of a patient. */
  readonly query: S;
  /** The sentence for anything else. */
  readonly otherwise: string;
  /** As it is told in the audit and in the log. */
  readonly what: Parameters<typeof noteExport>[1];
  /** Null where there is no such thing. */
  readonly run: (
    member: SignedIn,
    asked: z.infer<S>,
  ) => Promise<{ readonly text: string; readonly type: string; readonly name: string } | null>;
};

/** A file of what is of no patient, by a plain link of a practitioner's page. Taking it out is audited. */
export function fileAsked<S extends z.ZodType>({ query, otherwise, what, run }: Asked<S>) {
  return (request: Request): Promise<NextResponse> =>
    readAnswer(what, async () => {
      const member = await askingMember('practitioner');
      const asked = query.safeParse(
        Object.fromEntries(new URL(request.url).searchParams.entries()),
      );
      if (!asked.success) throw new Problem(400, otherwise);
      const file = await run(member, asked.data);
      if (!file) throw new Problem(404, NOT_FOUND);
      await noteExport(member, what);
      return new NextResponse(file.text, {
        headers: {
          ...FOR_WHO_ASKED,
          'Content-Type': file.type,
          // The plain name for who reads no other; the whole one for all else.
          'Content-Disposition': `attachment; filename="${plain(file.name)}"; filename*=UTF-8''${encodeURIComponent(file.name)}`,
        },
      });
    });
}

/** @example plain('Zehn × zehn.json') // "Zehn _ zehn.json" */
const plain = (name: string) => name.replace(/[^\w .()-]/g, '_');
