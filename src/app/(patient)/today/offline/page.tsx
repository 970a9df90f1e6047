import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { sayerOf } from '@/catalogue';
import { dialled } from '@/core/identity';
import { languageFor } from '@/server/languages';
import { patientClinic } from '@/server/patient-pack';
import { titleOf } from '@/server/patient/words';
import { EarlyTextSize } from '@/ui/patient/early-text-size';
import { Link } from '@/ui/patient/link';
import { CALL } from '@/ui/patient/whom-to-call';
import { legibleToPatient } from '@/app/legible';
import { Centred } from '../../centred';

export const generateMetadata = (): Promise<Metadata> => titleOf('offline.title');

/**
 * What stands in the place of a page that needs a signal: kept on the phone with Today, and shown by its
 * worker. Nothing on it needs a script.
 */
async function OfflinePage() {
  const here = await requirePatient();
  const language = languageFor(here.patient);
  const say = sayerOf(language);
  const { name, phone } = await patientClinic(here);
  return (
    <Centred language={language.tag}>
      <EarlyTextSize nonce={(await headers()).get('x-nonce') ?? ''} />
      <h1 className="text-2xl">{say('offline.title')}</h1>
      <p>{say('offline.about')}</p>
      <Link href="/today">{say('settings.back')}</Link>
      <p>{say('offline.call')}</p>
      <a href={dialled(phone)} className={`${CALL} bg-action text-on-action`}>
        {say('stop.call', { who: name, number: phone })}
      </a>
    </Centred>
  );
}

export default legibleToPatient(OfflinePage);
