import type { Metadata } from 'next';
import { clinicOf } from '@/server/clinic';
import { requireRole } from '@/server/require';
import { knownZones } from '@/server/zones';
import { PatientTable } from '@/ui/import/patient-table';
import { ForeignRecordIn } from '@/ui/import/foreign-record';
import { WholeRecordIn } from '@/ui/import/whole-record';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Patients from elsewhere' };

export default legible(ImportPage);

async function ImportPage() {
  const member = await requireRole('practitioner');
  const { zone } = await clinicOf(member);
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Patients from elsewhere</h1>
      <h2 className="pt-6 text-xl">A table of patients</h2>
      <PatientTable zones={knownZones(zone)} zone={zone} />
      <h2 className="pt-10 pb-2 text-xl">One patient’s whole record</h2>
      <WholeRecordIn />
      <h2 className="pt-10 pb-2 text-xl">A patient of another system</h2>
      <ForeignRecordIn patientId={null} />
    </>
  );
}
