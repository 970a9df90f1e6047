import { shortDay } from '@/core/units';
import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { notFound } from 'next/navigation';
import { meanCraniovertebralAngle, measurePhoto } from '@/core/measures';
import { roleSuffices } from '@/server/access';
import { openPatient } from '@/server/open-patient';
import { photoStep } from '@/server/visit/measure-step';
import { DeletePhoto } from '@/ui/measure/photo/delete-photo';
import { AngleLines, FRAME, PlacedPicture } from '@/ui/measure/photo/marked-photo';
import { PhotoMarking } from '@/ui/measure/photo/photo-marking';
import { HeadLoad, PhotoNumbers } from '@/ui/measure/photo/photo-numbers';
import { buttonClass } from '@/ui/primitives/button';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Side photo' };

export default legible(PhotoPage);

async function PhotoPage({ params }: PageProps<'/patients/[id]/measure/photos/[photoId]'>) {
  const member = await requireMember();
  const { id, photoId } = await params;
  const opened = await openPatient(member, id);
  if (!opened) notFound();
  const { photos, ownError } = await photoStep(member, opened.patient);
  const photo = photos.find((one) => one.id === photoId);
  if (!photo) notFound();
  const last = photo.markings.at(-1);
  const others = photos.filter((one) => one.id !== photoId && one.markings.length > 0);
  if (!last) return <PhotoMarking patientId={id} photo={photo} />;
  const angles = photo.markings.map(({ marks }) => measurePhoto(marks).craniovertebralAngle);
  const [first, second] = angles;
  const mean = meanCraniovertebralAngle(photo.markings.map(({ marks }) => marks));
  const measures = measurePhoto(last.marks);
  const drawn = { ...photo, marks: last.marks };
  const placement = {
    scale: FRAME.height / photo.height,
    turn: 0 - (measures.cameraRoll ?? 0),
    mirror: false,
  };
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <svg
        role="img"
        aria-label={`Side photo of ${shortDay(photo.takenOn)}, craniovertebral angle ${measures.craniovertebralAngle.toFixed(1)}°`}
        viewBox={`0 0 ${FRAME.width} ${FRAME.height}`}
        className="max-h-[75vh] w-full border border-hair bg-wash"
      >
        <PlacedPicture photo={drawn} placement={placement} />
        <AngleLines
          photo={drawn}
          placement={placement}
          facing={last.marks.facing}
          color="#16408f"
        />
        <g stroke="#12211d" strokeWidth={1} strokeDasharray="6 5">
          <line x1={FRAME.c7x} x2={FRAME.c7x} y1={0} y2={FRAME.height} />
          <line x1={0} x2={FRAME.width} y1={FRAME.c7y} y2={FRAME.c7y} />
        </g>
      </svg>
      <div className="grid content-start gap-4">
        <h2 className="text-lg">Side photo of {shortDay(photo.takenOn)}</h2>
        <PhotoNumbers measures={measures} />
        <p>
          {first !== undefined && second !== undefined
            ? `Marked ${angles.length} times: ${angles.map((angle) => `${angle.toFixed(1)}°`).join(', ')}. Second less first: ${(second - first).toFixed(1)}°. Their mean counts, ${mean?.toFixed(1)}°.`
            : 'Marked once. Mark it again without looking at the first marks: the difference is your own error.'}{' '}
          {ownError &&
            `Over ${ownError.photos} photos your error is ${ownError.sem.toFixed(1)}°; a change needs ${ownError.needed.toFixed(1)}° on marking alone.`}
        </p>
        {measures.earToShoulder !== null && <HeadLoad forwardMm={measures.earToShoulder} />}
        <div className="flex flex-wrap gap-2">
          <QuietLink
            href={`/patients/${id}/measure/photos/${photoId}/mark`}
            className={buttonClass('plain')}
          >
            Mark again, blind
          </QuietLink>
          {others.map((other) => {
            const [earlier, later] =
              other.takenOn < photo.takenOn ? [other, photo] : [photo, other];
            return (
              <QuietLink
                key={other.id}
                href={`/patients/${id}/measure/photos/compare?earlier=${earlier.id}&later=${later.id}`}
                className={buttonClass('plain')}
              >
                Compare with {shortDay(other.takenOn)}
              </QuietLink>
            );
          })}
        </div>
        {roleSuffices(member.role, 'practitioner') && (
          <DeletePhoto patientId={id} photoId={photoId} />
        )}
        <QuietLink href={`/patients/${id}/measure/photos`} className="text-action underline">
          All photos
        </QuietLink>
      </div>
    </div>
  );
}
