import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { firstRunCode } from '@/server/first-run';
import { knownZones, serverZone } from '@/server/zones';
import { FirstRunForm } from '@/ui/forms/first-run-form';

export const metadata: Metadata = { title: 'Set up the clinic' };

export default async function FirstRunPage() {
  if ((await firstRunCode()) === null) redirect('/sign-in');
  return (
    <section className="grid gap-4">
      <h1 className="text-xl">Set up the clinic</h1>
      <p className="text-soft">
        This server has no clinic yet. The code was printed in the terminal where it was started; it
        works once.
      </p>
      <FirstRunForm zones={knownZones(serverZone())} zone={serverZone()} />
    </section>
  );
}
