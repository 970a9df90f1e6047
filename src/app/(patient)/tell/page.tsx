import type { Metadata } from 'next';
import { patientWords } from '@/catalogue';
import { strangersLanguage } from '@/server/patient/words';
import { TellPage } from '@/ui/patient/tell-page';
import { Words } from '@/ui/patient/say';

export const metadata: Metadata = { title: 'One word is enough', robots: 'noindex' };

/**
 * What somebody is asked who may remind a patient of their posture. It is the same for everybody, and
 * says nothing of anybody: neither name nor clinic nor health.
 */
export default async function TellSomebody() {
  const language = await strangersLanguage();
  return (
    <main
      lang={language.tag}
      className="patient mx-auto grid min-h-dvh max-w-lg content-center gap-4 px-5"
    >
      <Words words={patientWords(language)} language={language.tag}>
        <TellPage />
      </Words>
    </main>
  );
}
