import { hash, verify } from '@node-rs/argon2';

/** OWASP's smallest recommended setting for Argon2id (2023): 19 MiB, two passes. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

/** A hash of nothing anybody knows, checked when there is no such member, so that time tells nothing. */
let nobody: Promise<string> | undefined;

/** Whether the password is right; takes as long when there is no member. */
export async function passwordFits(stored: string | null, password: string): Promise<boolean> {
  nobody ??= hash(crypto.randomUUID(), COST);
  const fits = await verify(stored ?? (await nobody), password);
  return stored !== null && fits;
}
