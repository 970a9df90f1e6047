import { sayToPatient } from '@/catalogue';
import { languageFor } from '../languages';
import webPush from 'web-push';
import type { PushDraft } from '@/core/records';
import type { ClinicId } from '@/core/units';
import { pushServerOf, putPushServer, putPushSubscription } from '@/db';
import type { PatientHere, SignedIn } from '../access';
import { Problem, ToldProblem } from '../problem';
import { writeAs, writeAsPatient } from '../visit/write-as';
import { mayBeCalled } from './endpoint';

const NO_ADDRESS =
  'Phones take notices only of an address that is reached by TLS, so the server needs its public address first (PUBLIC_URL, see docs/operating.md).';

/** Whether the clinic sends notices to phones. */
export async function sendsPush(clinicId: ClinicId): Promise<boolean> {
  return (await pushServerOf(clinicId))?.on === true;
}

/** The clinic's public key, by which a phone knows its notices; null where it sends none. */
export async function pushKeyOf(clinicId: ClinicId): Promise<string | null> {
  const row = await pushServerOf(clinicId);
  return row?.on ? row.publicKey : null;
}

/** Turns notices on or off. The keys are made once: phones that asked go on knowing the clinic. */
export async function switchPush(lead: SignedIn, { on }: { readonly on: boolean }): Promise<void> {
  const { clinicId } = lead;
  if (on && !process.env.PUBLIC_URL) throw new Problem(409, NO_ADDRESS);
  const before = await pushServerOf(clinicId);
  if ((before?.on ?? false) === on) return;
  const { publicKey, privateKey } = before ?? webPush.generateVAPIDKeys();
  await writeAs(lead, 'lead', {
    verb: on ? 'turned on notices to phones in' : 'turned off notices to phones in',
    subject: { kind: 'clinic', id: clinicId },
    statements: (at) => [putPushServer({ clinicId, on, publicKey, privateKey, updatedAt: at })],
  });
}

/** Keeps where this phone takes notices. */
export async function keepPhone(here: PatientHere, draft: PushDraft): Promise<void> {
  const { clinicId, id: patientId, tokenHash } = here;
  if (!(await sendsPush(clinicId)))
    throw new ToldProblem(409, sayToPatient(languageFor(here.patient), 'problem.noNotices'));
  if (!mayBeCalled(draft.endpoint))
    throw new Problem(400, 'This phone names no service that takes notices.', ['endpoint']);
  await writeAsPatient(here, {
    verb: 'asked for notices on a phone of',
    subject: { kind: 'patient', id: patientId },
    statements: (at) => [
      putPushSubscription({ clinicId, patientId, tokenHash, ...draft, createdAt: at }),
    ],
  });
}
