import 'server-only';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { ENGLISH } from '@/catalogue';
import type { Role } from '@/core/records';
import type { AnyMember, PatientHere, SignedIn } from './access';
import { publicOrigin } from './address';
import { askingAnyMember, askingMember, askingPatient } from './asking';
import { AT_HAND_HEADER, checkAtHand } from './at-hand';
import { carriedOut } from './carried-out';
import { currentPatient } from './current';
import type { PlainAnswer, PostOfEvents } from './patient/events';
import { readersLanguage } from './patient/words';
import { LINK_GONE, Problem } from './problem';
import { NO_STORE, checkIsRecord, checked, recordOf, tooLarge } from './sent';

type Who = Role | 'any member' | 'patient' | 'anyone';
type ActorOf<W extends Who> = W extends 'anyone'
  ? null
  : W extends 'patient'
    ? PatientHere
    : W extends 'any member'
      ? AnyMember
      : SignedIn;

type Answer = {
  readonly value?: unknown;
  readonly cookies?: (response: NextResponse) => void;
  readonly file?: FileAnswer;
  /** A page to go to, after a plain form. */
  readonly next?: string;
};

type HandlerOptions<W extends Who, S extends z.ZodType> = {
  /** The least role, any member who may lack the second factor that is wanted, the patient, or anyone. */
  readonly who: W;
  /** Also from a page that shows another complaint than the one at hand: it is what chooses it. */
  readonly anyEpisode?: true;
  readonly input: S;
  /** Largest body in bytes. */
  readonly limit?: number;
  readonly run: (call: {
    readonly actor: ActorOf<W>;
    readonly input: z.infer<S>;
    readonly request: Request;
  }) => Promise<Answer>;
};

/** The largest body of a request that says nothing else, bytes. */
const DEFAULT_LIMIT = 64 * 1024;

/**
 * A route handler for one write: same origin, JSON of a bounded size, the right person, a valid
 * record, then the work. Every refusal is a sentence, and changes nothing.
 */
export function handler<W extends Who, S extends z.ZodType>(options: HandlerOptions<W, S>) {
  const { limit = DEFAULT_LIMIT } = options;
  return (request: Request): Promise<NextResponse> =>
    answering(request, options.who, async () => {
      const actor = await actorFor(options.who);
      const input = await recordIn(request, options.input, limit);
      if (!options.anyEpisode) await checkEpisode(actor, request, input);
      return options.run({ actor: actor as ActorOf<W>, input, request });
    });
}

/** The record a request carries as JSON, of a bounded size. */
async function recordIn<S extends z.ZodType>(
  request: Request,
  schema: S,
  limit: number,
): Promise<z.infer<S>> {
  checkIsRecord(request.headers, limit);
  return recordOf(schema, await readBytes(request, limit, tooLarge(limit)));
}

type FileAnswer = {
  readonly bytes: Uint8Array<ArrayBuffer> | string;
  readonly type: string;
  readonly name: string;
};

/** As `handler`, answered with a file. It is asked for by POST, so that nothing of it is in an address. */
export function fileHandler<W extends Who, S extends z.ZodType>(
  options: Omit<HandlerOptions<W, S>, 'run'> & {
    readonly run: (call: {
      readonly actor: ActorOf<W>;
      readonly input: z.infer<S>;
      readonly request: Request;
    }) => Promise<FileAnswer>;
  },
) {
  return (request: Request): Promise<NextResponse> =>
    answering(request, options.who, async () => {
      const actor = (await actorFor(options.who)) as ActorOf<W>;
      const input = await recordIn(request, options.input, DEFAULT_LIMIT);
      return { file: await options.run({ actor, input, request }) };
    });
}

type BytesOptions<W extends Who, S extends z.ZodType> = {
  readonly who: W;
  /** What stands in the address beside the bytes. */
  readonly query: S;
  readonly limit: number;
  /** The sentence for more than that. */
  readonly tooLarge: string;
  readonly run: (call: {
    readonly actor: ActorOf<W>;
    readonly query: z.infer<S>;
    readonly bytes: Buffer;
  }) => Promise<Answer>;
};

/** As `handler`, for a file sent as it is; the record about it stands in the address. */
export function bytesHandler<W extends Who, S extends z.ZodType>(options: BytesOptions<W, S>) {
  return (request: Request): Promise<NextResponse> =>
    answering(request, options.who, async () => {
      const actor = await actorFor(options.who);
      const { searchParams } = new URL(request.url);
      const query = checked(options.query, Object.fromEntries(searchParams));
      const bytes = await readBytes(request, options.limit, new Problem(413, options.tooLarge));
      await checkEpisode(actor, request, query);
      return options.run({ actor: actor as ActorOf<W>, query, bytes });
    });
}

/**
 * A write by a plain form of the page, which works before any script has come: nothing but its own
 * address is read, and the browser is led on to another page.
 */
export function patientFormHandler(options: {
  readonly run: (here: PatientHere) => Promise<void>;
  /** Where the browser goes afterwards. */
  readonly then: string;
}) {
  return (request: Request): Promise<NextResponse> =>
    answering(request, 'patient', async () => {
      const here = await currentPatient();
      if (here) await options.run(here);
      // Where the link has ended, a browser is led to the page that says so.
      else if (!(request.headers.get('accept') ?? '').includes('text/html'))
        throw new Problem(401, LINK_GONE);
      return { next: options.then };
    });
}

/** A write that is answered without the framework where that can be, here behind it. */
export function plainHandler(answer: (asked: PostOfEvents) => Promise<PlainAnswer>) {
  return async (request: Request): Promise<Response> => {
    const { status, headers, body } = await answer({
      head: request.headers,
      bytes: (limit, refusal) => readBytes(request, limit, refusal),
      hasLeft: () => request.signal.aborted,
    });
    return new Response(body, { status, headers });
  };
}

/** Answers a write of our own pages: its value, or why it was not carried out. */
async function answering(
  request: Request,
  who: Who,
  work: () => Promise<Answer>,
): Promise<NextResponse> {
  const { headers: head, signal, url } = request;
  const answer = await carriedOut(
    {
      head,
      path: new URL(url).pathname,
      own: publicOrigin(request),
      hasLeft: () => signal.aborted,
    },
    work,
    () => (who === 'patient' ? readersLanguage() : ENGLISH),
  );
  if ('done' in answer) return answered(answer.done);
  const { status, body } = answer.refused;
  return NextResponse.json(body, { status, headers: NO_STORE });
}

function answered({ value = null, file, next, cookies }: Answer): NextResponse {
  if (file)
    return new NextResponse(file.bytes, {
      headers: {
        ...NO_STORE,
        'Content-Type': file.type,
        'Content-Disposition': `attachment; filename="${file.name}"`,
      },
    });
  if (next !== undefined)
    return new NextResponse(null, { status: 303, headers: { ...NO_STORE, Location: next } });
  const response = NextResponse.json({ ok: true, value }, { headers: NO_STORE });
  cookies?.(response);
  return response;
}

async function actorFor(who: Who): Promise<AnyMember | PatientHere | null> {
  switch (who) {
    case 'anyone':
      return null;
    case 'patient':
      return askingPatient();
    case 'any member':
      return askingAnyMember();
    default:
      return askingMember(who);
  }
}

/** Looks whether a page's complaint is still at hand, where what was sent is about a patient. */
async function checkEpisode(
  actor: AnyMember | PatientHere | null,
  request: Request,
  sent: unknown,
): Promise<void> {
  const { success, data } = OfPatient.safeParse(sent);
  if (success && actor?.kind === 'member' && !actor.lacksFactor)
    await checkAtHand(actor, data.patientId, request.headers.get(AT_HAND_HEADER));
}

const OfPatient = z.object({ patientId: z.string() });

async function readBytes(request: Request, limit: number, refusal: Error): Promise<Buffer> {
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw refusal;
  const reader = request.body?.getReader();
  const pieces: Uint8Array[] = [];
  let size = 0;
  // The length a sender claims may be false, so what arrives is counted.
  while (reader) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > limit) {
      await reader.cancel();
      throw refusal;
    }
    pieces.push(value);
  }
  return Buffer.concat(pieces);
}
