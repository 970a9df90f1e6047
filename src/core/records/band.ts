import { z } from 'zod';
import { bandCurveProblem } from '../load';
import { words } from './words';

/** One of the clinic's bands with the forces it measured. */
export const BandCurveDraft = z
  .object({
    name: words('The band’s name', 60),
    points: z
      .array(
        z.object({
          stretchPercent: z.number({ error: 'The stretch is a number.' }).min(0).max(300),
          newtons: z.number({ error: 'The force is a number.' }).min(0).max(2000),
        }),
      )
      .max(30, 'At most thirty points.'),
  })
  .superRefine(({ points }, context) => {
    const problem = bandCurveProblem(points);
    if (problem) context.addIssue({ code: 'custom', message: problem, path: ['points'] });
  });

/** All of the clinic's bands; the list replaces the one before. */
export const BandsDraft = z.object({
  bands: z
    .array(BandCurveDraft)
    .max(20, 'At most twenty bands.')
    .refine((bands) => new Set(bands.map(({ name }) => name.toLowerCase())).size === bands.length, {
      message: 'Two bands have the same name.',
    }),
});
export type BandsDraft = z.infer<typeof BandsDraft>;
