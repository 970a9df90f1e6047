import { requireFile } from '@/server/require';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { originOf } from '@/server/address';
import { handoutAddress, handoutOf } from '@/server/visit/handout';
import { uncheckedLanguage } from '@/server/checked-languages';
import { HandoutDesk } from '@/ui/handout/handout-desk';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Handout' };

export default legible(HandoutPage);

async function HandoutPage({ params }: PageProps<'/patients/[id]/handout'>) {
  const { id } = await params;
  const opened = await requireFile(id);
  const origin = originOf(await headers());
  const handout = await handoutOf(opened.patient, handoutAddress(origin, null));
  if (!handout)
    return (
      <p>
        There is no programme yet, so there is nothing to print.{' '}
        <QuietLink href={`/patients/${id}/plan`} className="text-action underline">
          Write one on the Plan desk.
        </QuietLink>
      </p>
    );
  const unchecked = await uncheckedLanguage(opened.patient);
  return <HandoutDesk patientId={id} handout={handout} unchecked={unchecked} />;
}
