import { type ApiKeyDraft, MOST_API_KEYS } from '@/core/records';
import {
  type ApiKey,
  GuardRefused,
  apiKeyBehind,
  apiKeysOf,
  endApiKey,
  fewerApiKeys,
  guard,
  insertApiKey,
} from '@/db';
import type { SignedIn } from '../access';
import { addressOf } from '../address';
import { countTry } from '../attempts';
import { Problem } from '../problem';
import { hashToken, randomToken } from '../secrets';
import { writeAs } from '../visit/write-as';

/**
 * Makes a key that reads everything of the clinic and writes nothing.
 *
 * @returns its token, told once
 */
export async function makeApiKey(lead: SignedIn, draft: ApiKeyDraft): Promise<{ token: string }> {
  const { clinicId, id: authorId } = lead;
  const token = randomToken();
  try {
    await writeAs(lead, 'lead', {
      verb: 'made a key for reading',
      subject: { kind: 'key', id: draft.id },
      statements: (at) => [
        guard('room', fewerApiKeys(clinicId, MOST_API_KEYS)),
        insertApiKey({
          clinicId,
          ...draft,
          tokenHash: hashToken(token),
          authorId,
          createdAt: at,
          endedAt: null,
          usedAt: null,
        }),
      ],
    });
  } catch (error) {
    if (error instanceof GuardRefused && error.guard === 'room')
      throw new Problem(
        409,
        `A clinic has at most ${MOST_API_KEYS} keys at once. End one that is not used any more.`,
      );
    throw error;
  }
  return { token };
}

/** Ends a key at once; ending one again changes nothing. */
export function finishApiKey(lead: SignedIn, id: string): Promise<void> {
  return writeAs(lead, 'lead', {
    verb: 'ended a key for reading',
    subject: { kind: 'key', id },
    statements: (at) => [endApiKey(lead.clinicId, id, at)],
  });
}

/** The lead's keys, without what opens anything. */
export async function apiKeysFor(lead: SignedIn) {
  const keys = await apiKeysOf(lead.clinicId);
  return keys.map(({ id, name, createdAt, endedAt, usedAt }) => ({
    id,
    name,
    createdAt,
    endedAt,
    usedAt,
  }));
}

const NO_KEY = new Problem(401, 'This key is unknown or was ended. Ask the clinic’s lead for one.');

/**
 * The key a request comes with.
 *
 * @throws Problem 401 without one that holds, 429 after too many wrong ones from one address
 */
export async function keyOf(request: Request): Promise<ApiKey> {
  const token = /^Bearer ([\w-]{43})$/.exec(request.headers.get('authorization') ?? '')?.[1];
  const key = token ? await apiKeyBehind(hashToken(token)) : null;
  if (key) return key;
  // Nothing can be guessed of 256 random bits; who tries all the same is told to wait.
  await countTry([{ purpose: 'read by a key', what: addressOf(request) }]);
  throw NO_KEY;
}
