import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { closeDatabase } from '@/db';
import { issueResetFor } from '@/server/account';
import { Problem } from '@/server/problem';

/**
 * For a lead who is locked out: `npm run password-link -- --email ADDRESS [--data DIR] [--clinic NAME]
 * [--without-factor]` prints a one-time link by which a new password is set; the second factor is taken
 * away only where that is said.
 */
const { values } = parseArgs({
  options: {
    email: { type: 'string' },
    data: { type: 'string' },
    clinic: { type: 'string' },
    'without-factor': { type: 'boolean' },
  },
});
const data = values.data ?? process.env.DATA_DIR ?? 'data';
process.env.DATA_DIR = data;

async function link(): Promise<string> {
  if (!values.email) throw new Problem(400, 'Say whose: --email ADDRESS.');
  if (!process.env.DATABASE_URL && !existsSync(join(data, 'dry-lantern.db')))
    throw new Problem(404, 'There is no database in this folder: --data DIR.');
  const { token } = await issueResetFor(values.email, {
    ...(values.clinic === undefined ? {} : { clinicName: values.clinic }),
    withoutFactor: values['without-factor'] === true,
  });
  return `${process.env.PUBLIC_URL ?? 'http://localhost:3000'}/reset#${token}`;
}

link()
  .then((address) => console.log(`Works once, for a day: ${address}`))
  .catch((error: unknown) => {
    console.error(error instanceof Problem ? error.say : 'The link could not be made.');
    process.exitCode = 1;
  })
  .finally(() => closeDatabase());
