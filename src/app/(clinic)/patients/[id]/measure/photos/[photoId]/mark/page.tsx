import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { currentMember } from '@/server/current';
import { openPatient } from '@/server/open-patient';
import { photoStep } from '@/server/visit/measure-step';
import { PhotoMarking } from '@/ui/measure/photo/photo-marking';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Mark the photo' };

/** Marking without the earlier marks in sight. */
export default legible(MarkPage);

async function MarkPage({ params }: PageProps<'/patients/[id]/measure/photos/[photoId]/mark'>) {
  const member = await currentMember();
  if (!member) redirect('/sign-in');
  const { id, photoId } = await params;
  const opened = await openPatient(member, id);
  if (!opened) notFound();
  const { photos } = await photoStep(member, opened.patient);
  const photo = photos.find((one) => one.id === photoId);
  if (!photo) notFound();
  const { width, height } = photo;
  return <PhotoMarking patientId={id} photo={{ id: photoId, width, height }} />;
}
