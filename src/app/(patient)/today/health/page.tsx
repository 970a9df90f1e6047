import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { languageFor } from '@/server/languages';
import { patientClinic } from '@/server/patient-pack';
import { wordsFor, titleOf } from '@/server/patient/words';
import { HealthQuestions } from '@/ui/patient/health-questions';
import { Words } from '@/ui/patient/say';
import { legibleToPatient } from '@/app/legible';

export const generateMetadata = (): Promise<Metadata> => titleOf('health.title');

/** The plain-language screening, filled from the patient's own link. */
async function HealthPage() {
  const here = await requirePatient();
  return (
    <main lang={languageFor(here.patient).tag} className="patient mx-auto max-w-lg px-5 py-5">
      <Words {...wordsFor(here, 'health')}>
        <HealthQuestions
          clinic={await patientClinic(here)}
          caution={languageFor(here.patient).texts.caution}
        />
      </Words>
    </main>
  );
}

export default legibleToPatient(HealthPage);
