import { randomUUID } from 'node:crypto';
import { type MessageRow, insertMessage, messageById, write } from '@/db';
import { now } from '@/server/clock';

/** Puts a message into the outbox that is due now; `became` tells what stands of it. */
export async function dueMessage(
  whose: Pick<MessageRow, 'clinicId' | 'patientId'>,
  change: Pick<MessageRow, 'channel' | 'address'> & Partial<MessageRow>,
) {
  const id = randomUUID();
  await write(() => [
    insertMessage({
      ...whose,
      id,
      purpose: 'session',
      text: 'harbour: time for your exercises (morning).',
      state: 'waiting',
      attempts: 0,
      dueAt: now(),
      sentAt: null,
      because: null,
      createdAt: now(),
      ...change,
    }),
  ]);
  return { id, became: () => messageById(whose.clinicId, id) };
}
