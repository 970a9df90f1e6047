import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';

/** 32 random bytes as text that is safe in an address or a cookie. */
export function randomToken(): string {
  return randomBytes(32).toString('base64url');
}

/** What is stored of a token: SHA-256, which suffices for 256 random bits. */
export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('base64url');
}

/** A short code to read from a terminal and type: letters and digits that look like no other. */
export function readableCode(): string {
  const alphabet = 'abcdefghjkmnpqrstuvwxyz23456789';
  return Array.from(randomBytes(12), (byte) => alphabet[byte % alphabet.length]).join('');
}

/** Compares without telling by its time how much was right. */
export function sameSecret(a: string, b: string): boolean {
  return timingSafeEqual(Buffer.from(hashToken(a)), Buffer.from(hashToken(b)));
}

/** Names a session in the audit; nobody can sign in with it. */
export const sessionName = (tokenHash: string) => hashToken(tokenHash).slice(0, 12);
