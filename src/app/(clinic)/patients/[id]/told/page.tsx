import type { Metadata } from 'next';
import { z } from 'zod';
import { dateText } from '@/core/records';
import { requireFile } from '@/server/require';
import { toldForm } from '@/server/told';
import { ToldForm } from '@/ui/follow/told-form';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'As the patient told it' };

const Query = z.object({ on: dateText.nullable().catch(null) });

export default legible(ToldPage);

async function ToldPage({ params, searchParams }: PageProps<'/patients/[id]/told'>) {
  const { patient } = await requireFile((await params).id);
  const { on } = Query.parse({ on: null, ...(await searchParams) });
  const form = await toldForm(patient, on);
  return (
    <>
      <h2 className="text-xl">As the patient told it</h2>
      <p className="max-w-[75ch] pt-1 text-soft">
        For a patient without a phone: a day from a paper sheet, or told by a call. It counts under
        the rules of what a phone tells, and is never taken for it. A sign to stop pauses the
        programme and is on the morning list at once.
      </p>
      <ToldForm key={form.date} patientId={patient.id} {...form} />
    </>
  );
}
