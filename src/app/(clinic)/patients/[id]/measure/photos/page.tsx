import { shortDay } from '@/core/units';
import { requireFile } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { meanCraniovertebralAngle } from '@/core/measures';
import { photoStep } from '@/server/visit/measure-step';
import { PhotoAsk } from '@/ui/measure/photo/photo-ask';
import { PhotoUpload } from '@/ui/measure/photo/photo-upload';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Side photos' };

export default legible(PhotosPage);

async function PhotosPage({ params }: PageProps<'/patients/[id]/measure/photos'>) {
  const { id } = await params;
  const { member, ...opened } = await requireFile(id);
  const { photos, today, consented, ownError, angles, asked } = await photoStep(
    member,
    opened.patient,
  );
  const marked = photos.filter(({ markings }) => markings.length > 0);
  const [later, earlier] = [marked[0], marked.at(-1)];
  return (
    <div className="grid gap-6">
      <div className="flex flex-wrap items-baseline gap-4">
        <h2 className="mr-auto text-lg">Side photos</h2>
        {later && earlier && later !== earlier && (
          <QuietLink
            href={`/patients/${id}/measure/photos/compare?earlier=${earlier.id}&later=${later.id}`}
            className="text-action underline"
          >
            Compare first and last
          </QuietLink>
        )}
        <QuietLink href={`/patients/${id}/measure`} className="text-action underline">
          Back to the measuring sheet
        </QuietLink>
      </div>
      {photos.length === 0 && (
        <p className="text-soft">
          No photo yet. Side-on, in what the patient calls relaxed, with a door frame or a plumb
          line in the picture and a ruler beside the patient.
        </p>
      )}
      <ul className="grid gap-4 sm:grid-cols-3 lg:grid-cols-5">
        {photos.map((photo) => {
          const angle = meanCraniovertebralAngle(photo.markings.map(({ marks }) => marks));
          return (
            <li key={photo.id}>
              <QuietLink
                href={`/patients/${id}/measure/photos/${photo.id}`}
                className="grid gap-1 border border-edge bg-sheet p-2 hover:border-action"
              >
                {/* oxlint-disable-next-line nextjs/no-img-element -- private pictures never pass through an image cache */}
                <img
                  src={`/api/v1/photos/picture?id=${photo.id}`}
                  alt={`Side photo of ${shortDay(photo.takenOn)}`}
                  className="h-44 w-full object-contain"
                />
                {shortDay(photo.takenOn)}
                <span className="text-soft">
                  {angle !== null ? `craniovertebral angle ${angle.toFixed(1)}°` : 'not marked yet'}
                </span>
              </QuietLink>
            </li>
          );
        })}
      </ul>
      {angles.length > 0 && photos.length < angles.length && (
        <p className="text-soft">
          Measured on pictures that are gone:{' '}
          {angles
            .filter(
              ({ body }) =>
                body?.form === 'photo' && !photos.some(({ id: p }) => p === body.photoId),
            )
            .map(({ on, value }) => `${shortDay(on)} ${value?.toFixed(1)}°`)
            .join(', ')}
          .
        </p>
      )}
      <section aria-labelledby="take-name" className="grid max-w-2xl gap-2">
        <h3 id="take-name">Take or choose a photo</h3>
        <PhotoUpload patientId={id} today={today} consented={consented} />
        {consented && <PhotoAsk patientId={id} today={today} asked={asked} />}
      </section>
      <p className="max-w-2xl text-soft">
        {ownError
          ? `Your own marking error is ${ownError.sem.toFixed(1)}° (${ownError.photos} photos marked twice), so marking alone needs ${ownError.needed.toFixed(1)}° to call a change real.`
          : 'Mark a photo twice to learn your own error, and which change you can call real.'}
      </p>
    </div>
  );
}
