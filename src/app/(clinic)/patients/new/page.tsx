import type { Metadata } from 'next';
import { clinicOf } from '@/server/clinic';
import { keptOwnDraft } from '@/server/own-drafts';
import { requireRole } from '@/server/require';
import { knownZones } from '@/server/zones';
import { PatientForm } from '@/ui/forms/patient-form';

export const metadata: Metadata = { title: 'New patient' };

export default async function NewPatientPage() {
  const member = await requireRole('practitioner');
  const [{ zone }, kept] = await Promise.all([
    clinicOf(member),
    keptOwnDraft(member, 'new patient'),
  ]);
  return (
    <div className="max-w-xl">
      <h1 className="border-b border-hair pb-3 text-2xl">New patient</h1>
      <PatientForm zones={knownZones(zone)} zone={zone} kept={kept} />
    </div>
  );
}
