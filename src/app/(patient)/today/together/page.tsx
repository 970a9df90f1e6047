import type { Metadata } from 'next';
import { requirePatient } from '@/server/require';
import { wordsFor, titleOf } from '@/server/patient/words';
import { Shell } from '@/ui/patient/shell';
import { Together } from '@/ui/patient/together';
import { legibleToPatient } from '@/app/legible';

export const generateMetadata = (): Promise<Metadata> => titleOf('together.title');

/** What the clinic shows this phone during a visit by phone or video. */
async function TogetherPage() {
  const here = await requirePatient();
  return (
    <Shell {...wordsFor(here, 'together')} title="together.title">
      <Together />
    </Shell>
  );
}

export default legibleToPatient(TogetherPage);
