import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { z } from 'zod';
import { SHIPPED } from '@/catalogue';
import { catalogueFor } from '@/server/desk/exercises';
import { figuresFor } from '@/server/desk/own-figures';
import { FAMILIES } from '@/core/exercise';
import { EnglishKey } from '@/ui/figure/english-key';
import { FigureSteps } from '@/ui/figure/figure-steps';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Drawings' };

/** Every drawing of the catalogue and of the clinic's own exercises, for looking over: a family at a time, with their words or without. */
export default legible(PicturesPage);

const Query = z.object({
  family: z.enum(FAMILIES).optional().catch(undefined),
  words: z.enum(['no']).optional().catch(undefined),
});

async function PicturesPage({ searchParams }: PageProps<'/exercises/pictures'>) {
  const member = await requireMember();
  const { all } = await catalogueFor(member.clinicId);
  const exercises = all.filter(({ id, drawing }) => drawing !== undefined || SHIPPED.byId(id));
  const figures = await figuresFor(
    member.clinicId,
    exercises.map(({ id, drawing }) => ({ exerciseId: id, drawing })),
  );
  const { family, words } = Query.parse(await searchParams);
  // One family at a time: a hundred drawings with their poses are no page.
  const shown = [family ?? FAMILIES[0]];
  const count = exercises.filter((one) => shown.includes(one.family)).length;
  const address = (next: { family?: string; words?: string }) => {
    const query = new URLSearchParams(
      Object.entries({ family: family ?? '', words: words ?? '', ...next }).filter(
        ([, value]) => value !== '',
      ),
    ).toString();
    return `/exercises/pictures${query === '' ? '' : `?${query}`}`;
  };
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Drawings ({count})</h1>
      <div className="grid gap-3 pt-3">
        <EnglishKey />
        <p className="max-w-[70ch] text-soft">
          A one-sided exercise is drawn for the right; the left is its mirror.{' '}
          <QuietLink href={address({ words: words ? '' : 'no' })} className="text-action underline">
            {words ? 'Show the words again' : 'Hide the words'}
          </QuietLink>
        </p>
        <nav aria-label="Families" className="flex flex-wrap gap-x-4 gap-y-1">
          {FAMILIES.map((one) => (
            <QuietLink
              key={one}
              href={address({ family: one })}
              className={one === shown[0] ? 'font-semibold' : 'text-action underline'}
              {...(one === shown[0] ? { 'aria-current': 'page' as const } : {})}
            >
              {one}
            </QuietLink>
          ))}
        </nav>
      </div>
      {shown.map((one) => (
        <section key={one} className="pt-5">
          <h2 className="border-b border-hair text-lg">{one}</h2>
          <ul className="grid gap-x-8 gap-y-4 pt-3 lg:grid-cols-2">
            {exercises
              .filter((exercise) => exercise.family === one)
              .map(({ id, name, rung, sides, drawing }) => {
                const figure = figures({ exerciseId: id, drawing });
                return (
                  <li key={id} id={id} className="min-w-0">
                    <h3 className={words ? 'sr-only' : 'font-medium'}>
                      <span className="figures text-soft">{rung}</span> {name}
                    </h3>
                    {sides && (
                      <p className={words ? 'sr-only' : 'text-small text-soft'}>
                        Drawn for the right: {sides.right}.
                      </p>
                    )}
                    {figure && <FigureSteps figure={figure} size="h-36" words={!words} />}
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
    </>
  );
}
