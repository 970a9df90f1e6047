import { notFound, redirect } from 'next/navigation';
import { openPatient } from '@/server/open-patient';
import { requireMember } from '@/server/require';
import { screeningState } from '@/server/visit/screening';

/** A file opens at Follow, what was done before what is next; a new patient's at Screen. */
export default async function PatientPage({ params }: PageProps<'/patients/[id]'>) {
  const member = await requireMember();
  const { id } = await params;
  const opened = await openPatient(member, id);
  if (!opened) notFound();
  const { screened } = await screeningState(opened.patient);
  redirect(`/patients/${id}/${screened === 'none' ? 'screen' : 'follow'}`);
}
