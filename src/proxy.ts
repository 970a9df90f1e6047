import { type NextRequest, NextResponse } from 'next/server';
import { renewCookies } from '@/server/cookies';

/** Pages that a patient reads. */
const OF_PATIENTS = /^\/(today|open|health|tell)(\/|$)/;

/**
 * Puts the security headers on every page, with a nonce of its own for the scripts of each.
 * See docs/decisions/0005-content-policy.md for why styles are less strict.
 */
export function proxy(request: NextRequest): NextResponse {
  const nonce = btoa(crypto.randomUUID());
  const dev = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    `connect-src 'self'${dev ? ' ws:' : ''}`,
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  // Who the page is for: it tells the language of the whole document.
  if (OF_PATIENTS.test(request.nextUrl.pathname)) headers.set('x-page-of', 'patient');
  else headers.delete('x-page-of');
  headers.set('Content-Security-Policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('X-Frame-Options', 'DENY');
  response.headers.set('Referrer-Policy', 'no-referrer');
  response.headers.set(
    'Permissions-Policy',
    'camera=(self), microphone=(), geolocation=(), payment=()',
  );
  response.headers.set('Cross-Origin-Opener-Policy', 'same-origin');
  response.headers.set('Cross-Origin-Resource-Policy', 'same-origin');
  if ((process.env.PUBLIC_URL ?? '').startsWith('https:')) {
    response.headers.set('Strict-Transport-Security', 'max-age=31536000');
  }
  renewCookies(request.cookies, response);
  return response;
}

// A whole record that is taken in does not pass here, since all of its bytes would be held twice; nor do
// events of phones, since a body that passes here costs as much as taking it in.
export const config = {
  matcher: [
    '/((?!_next/static|_next/image|favicon.ico|api/v1/whole-records/in|api/v1/patient/events).*)',
  ],
};
