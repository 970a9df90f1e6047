import type { Metadata } from 'next';
import { sayToPatient } from '@/catalogue';
import { strangersLanguage, titleOf } from '@/server/patient/words';
import { Centred } from '../centred';

export const generateMetadata = (): Promise<Metadata> => titleOf('tell.title');

/**
 * What somebody is asked who may remind a patient of their posture. It is the same for everybody, and
 * says nothing of anybody: neither name nor clinic nor health.
 */
export default async function TellSomebody() {
  const language = await strangersLanguage();
  return (
    <Centred language={language.tag}>
      <h1 className="text-2xl">{sayToPatient(language, 'tell.title')}</h1>
      <p>{sayToPatient(language, 'tell.ask')}</p>
      <p>{sayToPatient(language, 'tell.how')}</p>
      <p className="text-soft">{sayToPatient(language, 'tell.nothing')}</p>
    </Centred>
  );
}
