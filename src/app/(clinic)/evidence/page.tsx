import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { Suspense } from 'react';
import { z } from 'zod';
import { COMPARED_BY, type ComparedBy } from '@/core/evidence';
import { dateInWords } from '@/core/units';
import { catalogueFor } from '@/server/desk/exercises';
import { clinicEvidence } from '@/server/follow/evidence';
import type { SignedIn } from '@/server/access';
import { requireRole } from '@/server/require';
import { EvidenceFile } from '@/ui/evidence/evidence-file';
import { EvidenceSheet } from '@/ui/evidence/evidence-sheet';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Evidence' };

export default legible(EvidencePage);

const Query = z.object({ by: z.enum(COMPARED_BY).catch('complaint') });

async function EvidencePage({ searchParams }: PageProps<'/evidence'>) {
  const member = await requireRole('practitioner');
  const { by } = Query.parse(await searchParams);
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">What our own episodes say</h1>
        <nav aria-label="Put side by side" className="flex gap-2">
          {COMPARED_BY.map((one) => (
            <QuietLink
              key={one}
              href={`/evidence?by=${one}`}
              aria-current={one === by ? 'page' : undefined}
              className={`rounded border px-3 py-1 ${one === by ? 'border-ink font-semibold text-ink' : 'border-edge text-action'}`}
            >
              By {one}
            </QuietLink>
          ))}
        </nav>
        <EvidenceFile by={by} />
      </div>
      <Suspense key={by} fallback={<p className="pt-4 text-soft">Counting …</p>}>
        <Counted member={member} by={by} />
      </Suspense>
    </>
  );
}

/** It reads many episodes, so the head of the page does not wait for it. */
async function Counted({ member, by }: { member: SignedIn; by: ComparedBy }) {
  const { clinicId } = member;
  const [{ told, until, isWhole }, catalogue] = await Promise.all([
    clinicEvidence(clinicId, by),
    catalogueFor(clinicId),
  ]);
  if (told.kind === 'too few')
    return (
      <p className="max-w-[75ch] pt-4">
        Fewer than five patients have agreed that the clinic learns from their course, so nothing
        can be told without telling who they are. Ask for it under Screen, with the other consents.
        It is never needed for treatment.
      </p>
    );
  return (
    <>
      <p className="max-w-[75ch] pt-3">
        {told.episodes} episodes of {told.patients} patients who agreed that the clinic learns from
        their course{until && <>, counted up to {dateInWords(until, 'en-GB')}</>}.{' '}
        {!isWhole && 'Some are still being counted: look again in a while. '}
        <span className="text-soft">
          A dash stands where fewer than five patients could be told apart, also by subtracting.
          Nobody was given anything by chance here, so none of it says what caused what.
        </span>
      </p>
      <EvidenceSheet
        told={told}
        exerciseName={(id) => catalogue.byId(id)?.name ?? 'an exercise that is gone'}
      />
    </>
  );
}
