import type { Metadata } from 'next';
import { z } from 'zod';
import { stopPage } from '@/server/mail/stop';
import { StopMail } from '@/ui/clinic/stop-mail';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Reminders by e-mail', robots: 'noindex' };

export default legible(StopMailPage);

const Query = z.object({ t: z.string().max(200).catch('') });

/** Where the link in a reminder leads: it says whose reminders, and one button stops them. */
async function StopMailPage({ searchParams }: PageProps<'/stop-mail'>) {
  const { t } = Query.parse(await searchParams);
  const found = await stopPage(t);
  return (
    <section className="grid gap-4">
      <h1 className="text-xl">Reminders by e-mail</h1>
      {found === null ? (
        <p>
          This link does not work any more. Ask your clinic, or turn reminders off on your phone.
        </p>
      ) : (
        <StopMail token={t} clinic={found.clinic} stopped={found.stopped} />
      )}
    </section>
  );
}
