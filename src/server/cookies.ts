import 'server-only';
import type { NextResponse } from 'next/server';
import { SESSION_LIFE } from '@/db';
import { cookiesAreSecure } from './address';
import { MEMBER_COOKIE, PATIENT_COOKIE } from './current';

/** Lax, because Strict is not sent when a link in a message is followed. */
const SHARED = { httpOnly: true, sameSite: 'lax', path: '/' } as const;

/** Browsers keep a cookie for at most 400 days. */
const DEVICE_SECONDS = 400 * 86_400;

export function setMemberCookie(response: NextResponse, token: string): void {
  response.cookies.set(MEMBER_COOKIE, token, {
    ...SHARED,
    secure: cookiesAreSecure(),
    maxAge: SESSION_LIFE.whole / 1000,
  });
}

export function clearMemberCookie(response: NextResponse): void {
  response.cookies.set(MEMBER_COOKIE, '', { ...SHARED, secure: cookiesAreSecure(), maxAge: 0 });
}

export function setPatientCookie(response: NextResponse, token: string): void {
  response.cookies.set(PATIENT_COOKIE, token, {
    ...SHARED,
    secure: cookiesAreSecure(),
    maxAge: DEVICE_SECONDS,
  });
}
