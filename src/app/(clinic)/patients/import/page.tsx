import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { roleSuffices } from '@/server/access';
import { clinicOf } from '@/server/clinic';
import { requireMember } from '@/server/require';
import { knownZones } from '@/server/zones';
import { PatientTable } from '@/ui/import/patient-table';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Patients from a table' };

export default legible(ImportPage);

async function ImportPage() {
  const member = await requireMember();
  if (!roleSuffices(member.role, 'practitioner')) redirect('/');
  const { zone } = await clinicOf(member);
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Patients from a table</h1>
      <PatientTable zones={knownZones(zone)} zone={zone} />
    </>
  );
}
