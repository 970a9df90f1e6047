import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { EXERCISES } from '@/catalogue';
import { figureOf } from '@/catalogue/figures';
import { FAMILIES } from '@/core/exercise';
import { FigureSteps } from '@/ui/figure/figure-steps';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Drawings' };

/** Every drawing of the catalogue on one sheet, for looking over. */
export default legible(PicturesPage);

async function PicturesPage() {
  await requireMember();
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Drawings ({EXERCISES.length})</h1>
      <p className="max-w-[70ch] pt-3 text-soft">
        Lit amber: working. Dashed strip: stretched. Dashed outline: where the head was. An arrow: a
        push that moves nothing. A one-sided exercise is drawn for the right; the left is its
        mirror.
      </p>
      {FAMILIES.map((family) => (
        <section key={family} className="pt-5">
          <h2 className="border-b border-hair text-lg">{family}</h2>
          <ul className="grid gap-x-8 gap-y-4 pt-3 lg:grid-cols-2">
            {EXERCISES.filter((exercise) => exercise.family === family).map(
              ({ id, name, rung }) => {
                const figure = figureOf(id);
                return (
                  <li key={id} id={id} className="min-w-0">
                    <h3 className="font-medium">
                      <span className="figures text-soft">{rung}</span> {name}
                    </h3>
                    {figure && <FigureSteps figure={figure} size="h-28" />}
                  </li>
                );
              },
            )}
          </ul>
        </section>
      ))}
    </>
  );
}
