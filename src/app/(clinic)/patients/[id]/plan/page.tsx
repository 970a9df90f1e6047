import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { roleSuffices } from '@/server/access';
import { currentMember } from '@/server/current';
import { openPatient } from '@/server/open-patient';
import { planOf } from '@/server/plan';
import { PlanDesk } from '@/ui/plan/plan-desk';
import { PlanReading } from '@/ui/plan/plan-reading';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage({ params }: PageProps<'/patients/[id]/plan'>) {
  const member = await currentMember();
  if (!member) redirect('/sign-in');
  const opened = await openPatient(member, (await params).id);
  if (!opened) notFound();
  const plan = await planOf(opened.patient);
  if (!roleSuffices(member.role, 'practitioner')) return <PlanReading lines={plan.desk.lines} />;
  return (
    <PlanDesk
      // A saved version starts the desk anew.
      key={plan.newest}
      patientId={opened.patient.id}
      newest={plan.newest}
      start={plan.desk}
      earliest={plan.earliest}
      waking={plan.waking}
      minutesADay={opened.patient.minutesADay}
    />
  );
}
