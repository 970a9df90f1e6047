import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import { roleSuffices } from '@/server/access';
import { shownProposals } from '@/server/follow/proposals';
import { PutQuery, putAsked } from '@/server/desk/put';
import { openPatient } from '@/server/open-patient';
import { afterSave, deskOf, suggestedOf } from '@/server/plan';
import { zoneOf } from '@/server/programme-facts';
import { patientReads } from '@/server/checked-languages';
import { screeningState } from '@/server/visit/screening';
import { NextAfterSave } from '@/ui/plan/next-after-save';
import { PlanDesk } from '@/ui/plan/plan-desk';
import { PlanReading } from '@/ui/plan/plan-reading';
import { Proposed } from '@/ui/plan/proposed';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Plan' };

export default legible(PlanPage);

/** The version that was just saved from this desk. */
const Saved = z.coerce.number().int().min(1).nullable().catch(null);

async function PlanPage({ params, searchParams }: PageProps<'/patients/[id]/plan'>) {
  const member = await requireMember();
  const opened = await openPatient(member, (await params).id);
  if (!opened) notFound();
  const { patient, open } = opened;
  const asked = await searchParams;
  const saved = Saved.parse(asked.saved);
  const [{ desk, ...rest }, screening, proposals, next, reads] = await Promise.all([
    deskOf(member, patient),
    screeningState(patient),
    shownProposals(patient),
    saved === null ? null : afterSave(patient, saved),
    patientReads(patient),
  ]);
  const proposed = proposals ? proposals.open.length + proposals.waiting.length : 0;
  if (!roleSuffices(member.role, 'practitioner'))
    return <PlanReading lines={desk.lines} own={rest.own} />;
  return (
    <>
      {next && rest.newest === saved && (
        <NextAfterSave patientId={patient.id} number={saved} {...next} />
      )}
      {proposals && proposed > 0 && (
        <details className="py-2">
          <summary className="text-action">What the logs propose ({proposed})</summary>
          <Proposed patientId={patient.id} proposals={proposals} mayDecide />
        </details>
      )}
      <PlanDesk
        {...rest}
        // A saved version starts the desk anew.
        key={rest.newest}
        suggestions={suggestedOf({ desk, ...rest }, screening.precautions)}
        put={putAsked(PutQuery.parse(asked))}
        patientId={patient.id}
        start={desk}
        episodes={open.map(({ id, complaint }) => ({ id, complaint }))}
        zone={zoneOf(patient)}
        minutesADay={patient.minutesADay}
        blocked={screening.blocked}
        screened={screening.screened}
        precautions={screening.precautions}
        reads={reads}
      />
    </>
  );
}
