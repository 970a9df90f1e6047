import { clinicById, dropPushSubscription, pushServerOf, pushSubscriptionsOf, write } from '@/db';
import type { Sender } from '../patient/outbox';
import { sendNotice } from './call';

/**
 * Sends notices to the phones of a patient that asked for them, where the clinic has turned them on; all
 * else goes the other way. One phone that takes it is enough; one that takes none any more is forgotten.
 */
export function pushSender(otherwise: Sender): Sender {
  return async (message) => {
    if (message.channel !== 'push') return otherwise(message);
    const { clinicId, patientId, text } = message;
    const [server, clinic, phones] = await Promise.all([
      pushServerOf(clinicId),
      clinicById(clinicId),
      pushSubscriptionsOf(clinicId, patientId),
    ]);
    const subject = process.env.PUBLIC_URL;
    // A trial's address is nobody's who answers for it: nothing leaves the house then.
    if (!server?.on || !clinic || !subject?.startsWith('https:')) return otherwise(message);
    const outcomes = await Promise.all(
      phones.map(async (phone) => {
        const outcome = await sendNotice(
          server,
          phone,
          { title: clinic.name, body: text },
          subject,
        );
        if (outcome === 'gone')
          await write(() => [dropPushSubscription(clinicId, phone.tokenHash)]);
        return outcome;
      }),
    );
    if (outcomes.includes('sent')) return { outcome: 'sent' };
    return outcomes.includes('failed')
      ? { outcome: 'failed' }
      : { outcome: 'refused', because: 'no phone takes it' };
  };
}
