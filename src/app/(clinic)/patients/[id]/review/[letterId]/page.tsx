import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { letterById } from '@/server/follow/review';
import { openPatient } from '@/server/open-patient';
import { LetterFile } from '@/ui/follow/letter-file';
import { LetterSheet } from '@/ui/follow/letter-sheet';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Letter' };

export default legible(OutcomeLetterPage);

async function OutcomeLetterPage({ params }: PageProps<'/patients/[id]/review/[letterId]'>) {
  const member = await requireMember();
  const { id, letterId } = await params;
  const opened = await openPatient(member, id);
  const found = opened && (await letterById(opened.patient, letterId));
  if (!found) notFound();
  return (
    <div className="grid gap-4">
      <LetterFile patientId={id} id={letterId} />
      <LetterSheet letter={found.letter} />
    </div>
  );
}
