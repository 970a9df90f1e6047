import type { PhotoId } from '@/core/units';
import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import { detectableOf, marginAt, meanCraniovertebralAngle } from '@/core/measures';
import { recordId } from '@/core/records';
import { openPatient } from '@/server/open-patient';
import { photoStep } from '@/server/visit/measure-step';
import { Comparison } from '@/ui/measure/photo/comparison';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Compare two photos' };

const Query = z.object({ earlier: recordId, later: recordId });

export default legible(ComparePage);

async function ComparePage({
  params,
  searchParams,
}: PageProps<'/patients/[id]/measure/photos/compare'>) {
  const member = await requireMember();
  const { id } = await params;
  const opened = await openPatient(member, id);
  const query = Query.safeParse(await searchParams);
  if (!opened || !query.success) notFound();
  const { photos, detectable } = await photoStep(member, opened.patient);
  const dated = (photoId: PhotoId) => {
    const photo = photos.find((one) => one.id === photoId);
    const marks = photo?.markings.at(-1)?.marks;
    const angle = meanCraniovertebralAngle(photo?.markings.map((one) => one.marks) ?? []);
    return photo && marks && angle !== null ? { ...photo, marks, angle } : null;
  };
  const [earlier, later] = [dated(query.data.earlier), dated(query.data.later)];
  if (!earlier || !later) notFound();
  const { margin, source } = detectableOf('craniovertebral-angle', detectable);
  return (
    <div className="grid gap-4">
      <h2 className="text-lg">Two dates compared</h2>
      <Comparison earlier={earlier} later={later} needed={margin && marginAt(margin, 0)} />
      <p className="text-soft">What counts as real here: {source}</p>
      <QuietLink href={`/patients/${id}/measure/photos`} className="text-action underline">
        All photos
      </QuietLink>
    </div>
  );
}
