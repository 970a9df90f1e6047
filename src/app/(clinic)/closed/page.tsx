import type { Metadata } from 'next';
import { recordId } from '@/core/records';
import { requireMember } from '@/server/require';
import { ClosedFileForm } from '@/ui/record/closed-file-form';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'A closed file' };

export default legible(ClosedPage);

/** Where a file is opened that is closed to a member; nothing of it is shown before. */
async function ClosedPage({ searchParams }: PageProps<'/closed'>) {
  await requireMember();
  const { id } = await searchParams;
  const asked = recordId.safeParse(id);
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">A closed file</h1>
      <p className="max-w-[75ch] pt-3">
        Where a file is closed to you and has to be opened all the same, in an emergency or in
        somebody’s absence, say why.
      </p>
      <ClosedFileForm patientId={asked.success ? asked.data : null} />
    </>
  );
}
