import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { referralsOf } from '@/server/visit/referral';
import { openPatient } from '@/server/open-patient';
import { PrintButton } from '@/ui/screen/print-button';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Letter' };

/** A kept letter, on one page of paper. */
export default legible(LetterPage);

async function LetterPage({ params }: PageProps<'/patients/[id]/letter/[letterId]'>) {
  const member = await requireMember();
  const { id, letterId } = await params;
  const opened = await openPatient(member, id);
  if (!opened) notFound();
  const found = (await referralsOf(opened.patient)).find(
    ({ referral }) => referral.id === letterId,
  );
  if (!found) notFound();
  return (
    <article data-letter className="grid max-w-2xl gap-4">
      <PrintButton />
      <p className="leading-relaxed whitespace-pre-line" dir="auto">
        {found.referral.text}
      </p>
    </article>
  );
}
