import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { roleSuffices } from '@/server/access';
import { requireFile } from '@/server/require';
import { screeningState } from '@/server/visit/screening';
import { summaryOf } from '@/server/visit/summary';
import { SummarySheet } from '@/ui/summary/summary-sheet';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Summary' };

export default legible(SummaryPage);

const Query = z.object({
  episode: z.uuid().nullable().catch(null),
  /** Asked for by its link in the rail: then a new patient is not led on. */
  view: z.literal('summary').nullable().catch(null),
});

/** A file opens with how it stands and what is open; a new patient's leads on to Screen. */
async function SummaryPage({ params, searchParams }: PageProps<'/patients/[id]'>) {
  const { member, patient } = await requireFile((await params).id);
  const { episode, view } = Query.parse(await searchParams);
  if (view === null && episode === null) {
    const { screened } = await screeningState(patient);
    if (screened === 'none') redirect(`/patients/${patient.id}/screen`);
  }
  return (
    <SummarySheet
      patientId={patient.id}
      summary={await summaryOf(member, patient, episode)}
      mayPractise={roleSuffices(member.role, 'practitioner')}
    />
  );
}
