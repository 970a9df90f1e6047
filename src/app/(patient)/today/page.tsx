import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { patientWords, sayToPatient } from '@/catalogue';
import { shownPack } from '@/core/exchange';
import { currentPatient } from '@/server/current';
import { languageFor, offeredLanguages } from '@/server/languages';
import { patientPack } from '@/server/patient-pack';
import { noticeOf } from '@/server/patient/notice';
import { documentLanguage, strangersLanguage, titleOf, wordsFor } from '@/server/patient/words';
import { LanguageChoice } from '@/ui/patient/language-choice';
import { NoticeFirst } from '@/ui/patient/notice';
import { Words } from '@/ui/patient/say';
import { EarlyKnown } from '@/ui/patient/early-known';
import { EarlyTextSize } from '@/ui/patient/early-text-size';
import { EarlyTouch } from '@/ui/patient/early-touch';
import { Today } from '@/ui/patient/today';
import { UnsentHere } from '@/ui/patient/unsent-here';
import { legibleToPatient } from '@/app/legible';
import { Centred } from '../centred';

export async function generateMetadata(): Promise<Metadata> {
  const language = await documentLanguage();
  return {
    ...(await titleOf('today.title')),
    manifest: `/api/v1/patient/manifest?language=${encodeURIComponent(language)}`,
  };
}

/** One document for today, player and check-in, fed by one pack. */
async function TodayPage() {
  const here = await currentPatient();
  if (!here) {
    const language = await strangersLanguage();
    return (
      <Centred language={language.tag}>
        <h1 className="text-2xl">{sayToPatient(language, 'open.none')}</h1>
        <p>{sayToPatient(language, 'problem.linkGone')}</p>
        <Words words={patientWords(language)} language={language.tag}>
          <UnsentHere />
        </Words>
      </Centred>
    );
  }
  const notice = await noticeOf(here);
  if (notice?.first) {
    const language = languageFor(here.patient);
    return (
      <main lang={language.tag} className="patient mx-auto max-w-lg px-5 py-5">
        <EarlyTextSize nonce={(await headers()).get('x-nonce') ?? ''} />
        <EarlyTouch nonce={(await headers()).get('x-nonce') ?? ''} />
        <NoticeFirst
          {...notice}
          title={sayToPatient(language, 'notice.title')}
          read={sayToPatient(language, 'notice.read')}
          again={sayToPatient(language, 'notice.again')}
          choice={
            <LanguageChoice
              label={sayToPatient(language, 'settings.language')}
              languages={offeredLanguages()}
              chosen={language.tag}
            />
          }
        />
      </main>
    );
  }
  return (
    <main lang={languageFor(here.patient).tag} className="patient mx-auto max-w-lg px-5 py-5">
      <EarlyTextSize nonce={(await headers()).get('x-nonce') ?? ''} />
      <EarlyKnown nonce={(await headers()).get('x-nonce') ?? ''} />
      <EarlyTouch nonce={(await headers()).get('x-nonce') ?? ''} />
      <Today
        start={shownPack(await patientPack(here))}
        languages={offeredLanguages()}
        {...wordsFor(here, 'today')}
      />
    </main>
  );
}

export default legibleToPatient(TodayPage);
