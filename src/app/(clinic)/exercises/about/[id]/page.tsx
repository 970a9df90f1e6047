import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import { askedExercise } from '@/server/desk/asked-exercise';
import { figuresFor } from '@/server/desk/own-figures';
import { requireMember } from '@/server/require';
import { AboutExerciseSheet } from '@/ui/exercises/about-exercise';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'An exercise' };

/** One exercise with everything a colleague would ask; printed, a sheet. */
export default legible(AboutExercisePage);

const Params = z.object({ id: z.string().min(1).max(80) });

async function AboutExercisePage({ params }: PageProps<'/exercises/about/[id]'>) {
  const { clinicId } = await requireMember();
  const { id } = Params.catch({ id: '?' }).parse(await params);
  const { about, patients } = (await askedExercise(clinicId, id)) ?? notFound();
  const { exercise } = about;
  const asked = { exerciseId: exercise.id, drawing: exercise.drawing };
  const figures = await figuresFor(clinicId, [asked]);
  return <AboutExerciseSheet about={about} patients={patients} figure={figures(asked)} />;
}
