import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { notFound } from 'next/navigation';
import type { PutAsked } from '@/core/records';
import { PutQuery, putAsked, thingToPut } from '@/server/desk/put';
import { requireRole } from '@/server/require';
import { PrescribeTo } from '@/ui/exercises/prescribe-to';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Prescribe to a patient' };

/** Whom an exercise or a programme is for: chosen here, put down on their desk, sent from there. */
export default legible(PrescribePage);

const BACK: Readonly<Record<PutAsked['what'], string>> = {
  exercise: '/exercises/about/',
  ready: '/exercises/programmes#',
  template: '/exercises/programmes#',
};

async function PrescribePage({ searchParams }: PageProps<'/exercises/prescribe'>) {
  const member = await requireRole('practitioner', '/exercises');
  const asked = putAsked(PutQuery.parse(await searchParams)) ?? notFound();
  const thing = (await thingToPut(member.clinicId, asked)) ?? notFound();
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">
          Prescribe <span dir="auto">{thing.name}</span>
        </h1>
        <QuietLink href={`${BACK[asked.what]}${asked.id}`} className="text-action underline">
          Back to it
        </QuietLink>
      </header>
      <p className="pt-3 text-soft">{thing.says}</p>
      <PrescribeTo what={asked.what} id={asked.id} />
    </>
  );
}
