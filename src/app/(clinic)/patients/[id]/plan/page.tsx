import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { roleSuffices } from '@/server/access';
import { shownProposals } from '@/server/follow/proposals';
import { PutQuery, putAsked } from '@/server/desk/put';
import { openPatient } from '@/server/open-patient';
import { deskOf } from '@/server/plan';
import { zoneOf } from '@/server/programme-facts';
import { screeningState } from '@/server/visit/screening';
import { ProposalsPanel } from '@/ui/follow/proposals-panel';
import { PlanDesk } from '@/ui/plan/plan-desk';
import { PlanReading } from '@/ui/plan/plan-reading';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Plan' };

export default legible(PlanPage);

async function PlanPage({ params, searchParams }: PageProps<'/patients/[id]/plan'>) {
  const member = await requireMember();
  const opened = await openPatient(member, (await params).id);
  if (!opened) notFound();
  const { patient } = opened;
  const [{ desk, ...rest }, screening, proposals] = await Promise.all([
    deskOf(member, patient),
    screeningState(patient),
    shownProposals(patient),
  ]);
  const proposed = proposals ? proposals.open.length + proposals.waiting.length : 0;
  if (!roleSuffices(member.role, 'practitioner'))
    return <PlanReading lines={desk.lines} own={rest.own} />;
  return (
    <>
      {proposals && proposed > 0 && (
        <details className="py-2">
          <summary className="text-action">What the logs propose ({proposed})</summary>
          <ProposalsPanel patientId={patient.id} proposals={proposals} mayDecide />
        </details>
      )}
      <PlanDesk
        {...rest}
        // A saved version starts the desk anew.
        key={rest.newest}
        put={putAsked(PutQuery.parse(await searchParams))}
        patientId={patient.id}
        start={desk}
        zone={zoneOf(patient)}
        minutesADay={patient.minutesADay}
        blocked={screening.blocked}
        screened={screening.screened}
        precautions={screening.precautions}
      />
    </>
  );
}
