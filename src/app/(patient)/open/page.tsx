import type { Metadata } from 'next';
import { PATIENT_LANGUAGE, patientWords } from '@/catalogue';
import { OpenLink } from '@/ui/patient/open-link';
import { Words } from '@/ui/patient/say';

export const metadata: Metadata = { title: 'Opening your programme', robots: 'noindex' };

/** Where a personal link leads. The token stands behind the # and is never part of a request's address. */
export default function OpenPage() {
  return (
    <main className="patient mx-auto grid min-h-dvh max-w-lg content-center gap-4 px-5">
      <Words words={patientWords()} language={PATIENT_LANGUAGE}>
        <OpenLink />
      </Words>
    </main>
  );
}
