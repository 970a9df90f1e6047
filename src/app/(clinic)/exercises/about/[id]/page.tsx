import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Suspense } from 'react';
import { z } from 'zod';
import { askedExercise } from '@/server/desk/asked-exercise';
import { roleSuffices } from '@/server/access';
import { gotOnWith } from '@/server/desk/got-on';
import { figuresFor } from '@/server/desk/own-figures';
import type { ClinicId, ExerciseId } from '@/core/units';
import { requireMember } from '@/server/require';
import { AboutExerciseSheet } from '@/ui/exercises/about-exercise';
import { GotOnCounts } from '@/ui/exercises/got-on';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'An exercise' };

/** One exercise with everything a colleague would ask; printed, a sheet. */
export default legible(AboutExercisePage);

const Params = z.object({ id: z.string().min(1).max(80) });

async function AboutExercisePage({ params }: PageProps<'/exercises/about/[id]'>) {
  const member = await requireMember();
  const { clinicId } = member;
  const { id } = Params.catch({ id: '?' }).parse(await params);
  const { about, patients } = (await askedExercise(clinicId, id)) ?? notFound();
  const { exercise } = about;
  const asked = { exerciseId: exercise.id, drawing: exercise.drawing };
  const figures = await figuresFor(clinicId, [asked]);
  return (
    <AboutExerciseSheet
      about={about}
      patients={patients}
      figure={figures(asked)}
      mayPrescribe={roleSuffices(member.role, 'practitioner')}
    >
      <Suspense fallback={<p className="text-soft">Counting …</p>}>
        <Counted clinicId={clinicId} exerciseId={exercise.id} />
      </Suspense>
    </AboutExerciseSheet>
  );
}

/** It reads many days, so the rest of the sheet does not wait for it. */
async function Counted(asked: { clinicId: ClinicId; exerciseId: ExerciseId }) {
  return <GotOnCounts found={await gotOnWith(asked.clinicId, asked.exerciseId)} />;
}
