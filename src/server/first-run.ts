import type { FirstRunDraft } from '@/core/records';
import { anyClinic, audit, guard, insertClinic, insertMember, noClinicYet, write } from '@/db';
import { checkPassword } from './account';
import { countTry, forgetTries } from './attempts';
import { now } from './clock';
import { hashPassword } from './passwords';
import { Problem } from './problem';
import { readableCode, sameSecret } from './secrets';
import { processWide } from '@/db/process-wide';

/** The code lives in memory only. */
const kept = processWide<string>('first-run-code');

/** The one-time code of a server without a clinic; null once there is one. */
export async function firstRunCode(): Promise<string | null> {
  if (await anyClinic()) {
    kept.value = undefined;
    return null;
  }
  kept.value ??= readableCode();
  return kept.value;
}

/** Creates the clinic and its lead, once, for whoever can read the terminal. */
export async function setUpClinic(draft: FirstRunDraft, address: string): Promise<void> {
  const tried = [{ purpose: 'first run' as const, what: address }];
  await countTry(tried);
  const code = await firstRunCode();
  if (code === null)
    throw new Problem(409, 'This clinic has been set up already. Sign in instead.');
  if (!sameSecret(code, draft.code))
    throw new Problem(403, 'This is not the code printed in the terminal.', ['code']);
  await checkPassword(draft.lead.password, draft.lead, ['lead', 'password']);
  const at = now();
  const clinicId = crypto.randomUUID();
  const { password, ...lead } = draft.lead;
  const passwordHash = await hashPassword(password);
  await write(() => [
    guard('empty', noClinicYet),
    ...forgetTries(tried),
    insertClinic({ ...draft.clinic, id: clinicId, createdAt: at }),
    insertMember({ ...lead, role: 'lead', clinicId, passwordHash, createdAt: at }),
    audit({
      clinicId,
      at,
      actor: { kind: 'system', id: 'first run' },
      verb: 'set up',
      subject: { kind: 'clinic', id: clinicId },
    }),
  ]);
  kept.value = undefined;
}
