import type { Metadata } from 'next';
import { roleSuffices } from '@/server/access';
import { todayOf } from '@/server/programme-facts';
import { requireFile } from '@/server/require';
import { papersFor } from '@/server/visit/papers';
import { Papers } from '@/ui/record/papers';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Papers' };

export default legible(PapersPage);

async function PapersPage({ params }: PageProps<'/patients/[id]/papers'>) {
  const { member, patient } = await requireFile((await params).id);
  return (
    <Papers
      patientId={patient.id}
      today={todayOf(patient)}
      papers={await papersFor(patient)}
      mayRead={roleSuffices(member.role, 'practitioner')}
    />
  );
}
