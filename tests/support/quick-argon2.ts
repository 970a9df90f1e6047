import * as real from '@node-rs/argon2/index';

/**
 * The same hash with less work, for the hundreds of passwords of the database tests; what is really
 * asked of it stands in src/server/passwords.test.ts.
 */
export function hash(password: string, options: real.Options): Promise<string> {
  return real.hash(password, { ...options, memoryCost: 64, timeCost: 1 });
}

export const verify = real.verify;
