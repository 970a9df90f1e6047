import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { settingsOf } from '@/server/patient/settings';
import { SettingsForm } from '@/ui/patient/settings-form';
import { sayToPatient } from '@/catalogue';
import { languageFor } from '@/server/languages';
import { noticeOf } from '@/server/patient/notice';
import { NoticeWords } from '@/ui/patient/notice';
import { wordsFor, titleOf } from '@/server/patient/words';
import { Shell } from '@/ui/patient/shell';
import { legibleToPatient } from '@/app/legible';

export const generateMetadata = (): Promise<Metadata> => titleOf('settings.title');

async function SettingsPage() {
  const here = await requirePatient();
  const notice = await noticeOf(here);
  return (
    <Shell {...wordsFor(here)} title="settings.title">
      <SettingsForm start={await settingsOf(here)} />
      {notice && (
        <details className="border-t border-hair pt-3">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {sayToPatient(languageFor(here.patient), 'notice.title')}
          </summary>
          <NoticeWords paragraphs={notice.paragraphs} />
        </details>
      )}
    </Shell>
  );
}

export default legibleToPatient(SettingsPage);
