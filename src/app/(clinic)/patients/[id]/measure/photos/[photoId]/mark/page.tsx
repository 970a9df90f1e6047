import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openPatient } from '@/server/open-patient';
import { photoStep } from '@/server/visit/measure-step';
import { PhotoMarking } from '@/ui/measure/photo/photo-marking';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Mark the photo' };

/** Marking without the earlier marks in sight. */
export default legible(MarkPage);

async function MarkPage({ params }: PageProps<'/patients/[id]/measure/photos/[photoId]/mark'>) {
  const member = await requireMember();
  const { id, photoId } = await params;
  const opened = await openPatient(member, id);
  if (!opened) notFound();
  const { photos } = await photoStep(member, opened.patient);
  const photo = photos.find((one) => one.id === photoId);
  if (!photo) notFound();
  const { width, height } = photo;
  return <PhotoMarking patientId={id} photo={{ id: photoId, width, height }} />;
}
