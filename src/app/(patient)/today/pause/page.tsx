import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { todayOf } from '@/server/programme-facts';
import { PauseForm } from '@/ui/patient/pause-form';
import { wordsFor, titleOf } from '@/server/patient/words';
import { Shell } from '@/ui/patient/shell';
import { legibleToPatient } from '@/app/legible';

export const generateMetadata = (): Promise<Metadata> => titleOf('pause.title');

async function PausePage() {
  const here = await requirePatient();
  return (
    <Shell {...wordsFor(here)} title="pause.title">
      <PauseForm today={todayOf(here.patient)} />
    </Shell>
  );
}

export default legibleToPatient(PausePage);
