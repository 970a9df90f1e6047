import { later } from '@/core/schedule';
import { HOUR_MS, type ClinicId } from '@/core/units';
import {
  alertsToEscalate,
  audit,
  clinicById,
  escalateAlerts,
  insertMessage,
  membersOf,
  write,
} from '@/db';
import { now } from '../clock';
import { limitsOf } from './outlook';

/**
 * Alerts nobody has taken within the clinic's time become the lead's, once and for the record: the
 * morning list says so, and every lead gets a message. It says that something waits, not whose or what.
 */
export async function escalate(clinicId: ClinicId): Promise<void> {
  const clinic = await clinicById(clinicId);
  if (!clinic) return;
  const at = now();
  const hours = limitsOf(clinic).escalateHours;
  const since = later(at, -hours * HOUR_MS);
  const waiting = await alertsToEscalate(clinicId, since);
  if (waiting.length === 0) return;
  const leads = (await membersOf(clinicId)).filter(({ role, active }) => role === 'lead' && active);
  await write(() => [
    escalateAlerts(clinicId, since, at),
    ...waiting.flatMap(({ id, patientId }) =>
      leads.map((lead) =>
        insertMessage({
          clinicId,
          id: `${id} ${lead.id}`,
          patientId,
          channel: 'e-mail',
          purpose: 'escalation',
          address: lead.email,
          text: `${clinic.name}: an alert has waited for ${hours} h and nobody has taken it. Please open the morning list.`,
          state: 'waiting',
          attempts: 0,
          dueAt: at,
          sentAt: null,
          because: null,
          createdAt: at,
        }),
      ),
    ),
    audit({
      clinicId,
      at,
      actor: { kind: 'system', id: 'triage' },
      verb: 'escalated alerts to the lead of',
      subject: { kind: 'clinic', id: clinicId },
    }),
  ]);
}
