import type { NextResponse } from 'next/server';
import { SESSION_LIFE } from '@/db/bounds';
import { cookiesAreSecure } from './address';

/** What a browser keeps, by its plain name, and for how many seconds. */
const KEPT = {
  member: { name: 'dl_member', seconds: SESSION_LIFE.whole / 1000 },
  /** Browsers keep a cookie for at most 400 days. */
  patient: { name: 'dl_patient', seconds: 400 * 86_400 },
  /** The proof that the birth date was answered here, until the browser is closed: a found phone asks again. */
  birth: { name: 'dl_birth', seconds: undefined },
  /** By which name a member narrowed the list, until the browser is closed: a name stands in no address. */
  narrow: { name: 'dl_narrow', seconds: undefined },
} as const;
export type CookieKind = keyof typeof KEPT;
const KINDS = Object.keys(KEPT) as CookieKind[];

/** Lax, because Strict is not sent when a link in a message is followed. */
const SHARED = { httpOnly: true, sameSite: 'lax', path: '/' } as const;

/**
 * A cookie's name. Over https it is bound to this very host (RFC 6265bis, 4.1.3.2), so that nobody on
 * a neighbouring name can set it.
 */
function nameOf(kind: CookieKind): string {
  return cookiesAreSecure() ? `__Host-${KEPT[kind].name}` : KEPT[kind].name;
}

type Jar = { readonly get: (name: string) => { readonly value: string } | undefined };

/**
 * The cookies of a head, where no framework has read them. Ours hold nothing that would have to be decoded.
 *
 * @param header a Cookie header, such as "dl_patient=4fQ…; other=1"
 */
export function jarOf(header: string | null): Jar {
  return {
    get: (name) => {
      const pair = (header ?? '').split(/; */).findLast((one) => one.startsWith(`${name}=`));
      return pair === undefined ? undefined : { value: pair.slice(name.length + 1) };
    },
  };
}

/** What a browser brought of a kind; also under the plain name, by which older phones know it. */
export function cookieOf(jar: Jar, kind: CookieKind): string | undefined {
  return (jar.get(nameOf(kind)) ?? jar.get(KEPT[kind].name))?.value;
}

/** Gives a browser a token to keep, in the place of one under an older name. */
export function setCookie(response: NextResponse, kind: CookieKind, token: string): void {
  const { name, seconds } = KEPT[kind];
  response.cookies.set(nameOf(kind), token, {
    ...SHARED,
    secure: cookiesAreSecure(),
    ...(seconds === undefined ? {} : { maxAge: seconds }),
  });
  if (cookiesAreSecure()) response.cookies.set(name, '', { ...SHARED, secure: true, maxAge: 0 });
}

export function clearCookie(response: NextResponse, kind: CookieKind): void {
  for (const name of new Set([nameOf(kind), KEPT[kind].name]))
    response.cookies.set(name, '', { ...SHARED, secure: cookiesAreSecure(), maxAge: 0 });
}

/** Renews what a browser still keeps under a plain name, once the clinic has come to https. */
export function renewCookies(jar: Jar, response: NextResponse): void {
  if (!cookiesAreSecure()) return;
  for (const kind of KINDS) {
    const old = jar.get(KEPT[kind].name)?.value;
    if (old !== undefined && jar.get(nameOf(kind)) === undefined) setCookie(response, kind, old);
  }
}
