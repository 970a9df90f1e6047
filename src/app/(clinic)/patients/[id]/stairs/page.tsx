import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { notFound } from 'next/navigation';
import { stairsOf } from '@/server/desk/stairs';
import { openPatient } from '@/server/open-patient';
import { Stairs } from '@/ui/stairs/stairs';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Stairs' };

export default legible(StairsPage);

async function StairsPage({ params }: PageProps<'/patients/[id]/stairs'>) {
  const member = await requireMember();
  const opened = await openPatient(member, (await params).id);
  if (!opened) notFound();
  const stairs = await stairsOf(opened.patient);
  return (
    <>
      <p className="pb-4 text-soft">
        Each ladder climbs from left to right, every step keeping what the one before was for; the
        lit step is where the patient stands. A hatched step is closed, and says why. What stands
        beside the stairs is another exercise, not a harder one. Pick the step that can be done
        properly, not the hardest that can be survived.{' '}
        <QuietLink href={`/patients/${opened.patient.id}/plan`} className="text-action underline">
          Back to the desk
        </QuietLink>
      </p>
      {stairs.map((stair) => (
        <Stairs key={stair.family} stair={stair} />
      ))}
    </>
  );
}
