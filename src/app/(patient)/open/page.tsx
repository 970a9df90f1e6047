import type { Metadata } from 'next';
import { patientWords } from '@/catalogue';
import { strangersLanguage, titleOf } from '@/server/patient/words';
import { OpenLink } from '@/ui/patient/open-link';
import { Words } from '@/ui/patient/say';
import { Centred } from '../centred';

export const generateMetadata = (): Promise<Metadata> => titleOf('open.opening');

/** Where a personal link leads. The token stands behind the # and is never part of a request's address. */
export default async function OpenPage() {
  const language = await strangersLanguage();
  return (
    <Centred language={language.tag}>
      <Words words={patientWords(language)} language={language.tag}>
        <OpenLink />
      </Words>
    </Centred>
  );
}
