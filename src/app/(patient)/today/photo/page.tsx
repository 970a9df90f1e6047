import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { BASE_POSES, drawPose } from '@/core/figure';
import { figureOf } from '@/catalogue/figures';
import { photoRequest } from '@/server/visit/photos';
import { PhotoFromHome } from '@/ui/patient/photo-from-home';
import { wordsFor, titleOf } from '@/server/patient/words';
import { Shell } from '@/ui/patient/shell';
import { legibleToPatient } from '@/app/legible';

export const generateMetadata = (): Promise<Metadata> => titleOf('photo.title');

async function PhotoPage() {
  const here = await requirePatient();
  const asked = await photoRequest(here.patient);
  const figure = figureOf('standing-back-bend');
  if (!asked || !figure) redirect('/today');
  return (
    <Shell {...wordsFor(here)} title="photo.title">
      <PhotoFromHome
        note={asked.body.note}
        outline={drawPose({ ...figure, props: [] }, BASE_POSES.standing, { effort: false })}
      />
    </Shell>
  );
}

export default legibleToPatient(PhotoPage);
