import 'server-only';
import type { FhirResource } from 'fhir/r4';
import {
  READABLE_NAMES,
  type Readable,
  capabilityStatement,
  outcome,
  searchset,
} from '@/core/fhir';
import { type ApiKey, apiKeyHolds, audit, guard, touchApiKey, write } from '@/db';
import { publicOrigin } from '../address';
import { now } from '../clock';
import { NOT_FOUND, Problem, asProblem, logFailure } from '../problem';
import { type Asked, readAsked } from './asked';
import { keyOf } from './keys';
import { countRead } from './rate';
import { readResource, search } from './search';

const TYPE = 'application/fhir+json; charset=utf-8';
/** Largest body of a search, bytes. */
const MOST_BYTES = 8 * 1024;

const baseOf = (request: Request) => `${publicOrigin(request)}/api/fhir`;

function answer(resource: FhirResource, status = 200): Response {
  return new Response(JSON.stringify(resource), {
    status,
    headers: {
      'Content-Type': TYPE,
      'Cache-Control': 'no-store',
      'X-Content-Type-Options': 'nosniff',
      ...(status === 401 ? { 'WWW-Authenticate': 'Bearer' } : {}),
      ...(status === 429 ? { 'Retry-After': '60' } : {}),
    },
  });
}

/** What FHIR calls a problem of this status. */
function codeOf(status: number): Parameters<typeof outcome>[0] {
  switch (status) {
    case 400:
    case 413:
      return 'invalid';
    case 401:
      return 'login';
    case 403:
      return 'forbidden';
    case 404:
      return 'not-found';
    case 429:
      return 'throttled';
    default:
      return 'exception';
  }
}

/** What this installation answers; nobody's record is in it. */
export function capability(request: Request): Response {
  return answer(capabilityStatement(baseOf(request), now()));
}

/** Answers a question that comes with a key; every one is in the audit. */
async function answering(
  request: Request,
  typeName: string,
  work: (key: ApiKey, type: Readable) => Promise<FhirResource>,
): Promise<Response> {
  try {
    const key = await keyOf(request);
    const at = now();
    countRead(key.id, at);
    const type = READABLE_NAMES.find((name) => name === typeName);
    if (!type)
      throw new Problem(
        404,
        `There is nothing to read of this kind: ${READABLE_NAMES.join(', ')}.`,
      );
    const resource = await work(key, type);
    // Kept before it leaves: what cannot be kept is not answered.
    await write(() => [
      guard('access', apiKeyHolds(key)),
      touchApiKey(key, at),
      audit({
        clinicId: key.clinicId,
        at,
        actor: { kind: 'key', id: key.id },
        verb: `read ${type}`,
        subject: subjectOf(request, typeName),
      }),
    ]);
    return answer(resource);
  } catch (error) {
    const problem = asProblem(error);
    if (problem.status >= 500 && !request.signal.aborted) logFailure('/api/fhir', error);
    return answer(outcome(codeOf(problem.status), problem.say), problem.status);
  }
}

/** Whose record was read; the clinic where it was asked for several. */
function subjectOf(request: Request, type: string): { kind: string; id: string } {
  const { searchParams, pathname } = new URL(request.url);
  const patient = searchParams.get('patient') ?? searchParams.get('subject');
  if (patient !== null) return { kind: 'patient', id: patient.replace(/^Patient\//, '') };
  const id = pathname.split('/').at(-1) ?? '';
  return id === type || id === '_search'
    ? { kind: 'clinic', id: '' }
    : { kind: type === 'Patient' ? 'patient' : type, id };
}

/** A search by what stands in the address. */
export function searchByAddress(request: Request, type: string): Promise<Response> {
  return answering(request, type, (key, readable) =>
    found(request, key, readable, readAsked(readable, new URL(request.url).searchParams, false)),
  );
}

/** A search by what stands in the body, as a form. */
export function searchByBody(request: Request, type: string): Promise<Response> {
  return answering(request, type, async (key, readable) => {
    const kind = request.headers.get('content-type') ?? '';
    if (!kind.startsWith('application/x-www-form-urlencoded'))
      throw new Problem(400, 'A search is posted as application/x-www-form-urlencoded.');
    if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES)
      throw new Problem(413, 'This search is too long.');
    const text = await request.text();
    if (text.length > MOST_BYTES) throw new Problem(413, 'This search is too long.');
    return found(
      request,
      key,
      readable,
      readAsked(readable, new URLSearchParams(text), true),
      true,
    );
  });
}

async function found(
  request: Request,
  { clinicId }: ApiKey,
  type: Readable,
  asked: Asked,
  isPosted = false,
): Promise<FhirResource> {
  const { resources, end } = await search(clinicId, type, asked);
  const base = baseOf(request);
  const address = new URL(request.url);
  const self = `${base}/${type}${isPosted ? '' : address.search}`;
  if (end === null || (isPosted && type === 'Patient'))
    return searchset(resources, { base, self, next: null });
  const next = new URLSearchParams(isPosted ? nextOf(asked) : address.searchParams);
  next.set('_after', end);
  return searchset(resources, { base, self, next: `${base}/${type}?${next}` });
}

/** What of a posted search may stand in the address of its next page. */
function nextOf({ patient, days, count }: Asked): [string, string][] {
  return [
    ...(patient === null ? [] : [['patient', patient] as [string, string]]),
    ...(days.from === null ? [] : [['date', `ge${days.from}`] as [string, string]]),
    ...(days.to === null ? [] : [['date', `le${days.to}`] as [string, string]]),
    ['_count', String(count)],
  ];
}

/** One resource by its id. */
export function readById(request: Request, type: string, id: string): Promise<Response> {
  return answering(request, type, (key, readable) => {
    if (!/^[\w-]{1,80}$/.test(id)) throw new Problem(404, NOT_FOUND);
    return readResource(key.clinicId, readable, id);
  });
}
