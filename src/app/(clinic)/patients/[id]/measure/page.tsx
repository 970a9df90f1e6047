import { type PatientId, shortDay } from '@/core/units';
import { requireFile } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { z } from 'zod';
import { PROFILES, formatMeasure, chosenProfile } from '@/core/measures';
import { roleSuffices } from '@/server/access';
import { measureStep } from '@/server/visit/measure-step';
import { FindingsPanel } from '@/ui/measure/findings-panel';
import type { KnownMeasures } from '@/ui/measure/known';
import { MeasureDesk } from '@/ui/measure/measure-desk';
import { changeInWords } from '@/ui/measure/sheet';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Measure' };

const Query = z.object({ profile: z.enum(PROFILES).optional().catch(undefined) });

export default legible(MeasurePage);

async function MeasurePage({ params, searchParams }: PageProps<'/patients/[id]/measure'>) {
  const { id } = await params;
  const { member, ...opened } = await requireFile(id);
  const { profile } = Query.parse(await searchParams);
  const step = await measureStep(member, opened.patient);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-6">
        <PhotoSummary patientId={id} known={step.known} photos={step.photos.length} />
        <MeasureDesk
          patientId={id}
          profile={profile ?? chosenProfile(opened.area)}
          area={opened.area}
          known={step.known}
          kept={step.kept}
        />
      </div>
      <FindingsPanel
        patientId={id}
        {...step.findings}
        mayDecide={roleSuffices(member.role, 'practitioner')}
      />
    </div>
  );
}

/** The side photo's angle first: practitioners look from the side before they test. */
function PhotoSummary({
  patientId,
  known,
  photos,
}: {
  patientId: PatientId;
  known: KnownMeasures;
  photos: number;
}) {
  const angle = known.series.find(({ kind }) => kind === 'craniovertebral-angle');
  return (
    <section aria-labelledby="photo-name" className="flex flex-wrap items-baseline gap-x-4">
      <h2 id="photo-name" className="text-lg">
        Side photo
      </h2>
      <p className="mr-auto">
        {angle?.last.value == null ? (
          <span className="text-soft">None measured yet.</span>
        ) : (
          <>
            Craniovertebral angle{' '}
            <strong className="figures font-semibold">
              {formatMeasure('craniovertebral-angle', angle.last.value)}
            </strong>{' '}
            <span className="text-soft">on {shortDay(angle.last.on)}</span>
            {angle.first.value !== null &&
              angle.first.id !== angle.last.id &&
              `; since ${shortDay(angle.first.on)}: ${changeInWords('craniovertebral-angle', angle.first.value, angle.last.value, known.detectable)}`}
          </>
        )}
      </p>
      <QuietLink href={`/patients/${patientId}/measure/photos`} className="text-action underline">
        {photos === 0 ? 'Take and mark a photo' : `Photos (${photos})`}
      </QuietLink>
    </section>
  );
}
