import { z } from 'zod';
import { READY_PROGRAMMES } from '@/catalogue/programmes';
import type { PutAsked } from '@/core/records';
import type { ClinicId } from '@/core/units';
import { catalogueFor } from './exercises';
import { templateList } from './templates';

const id = z.string().min(1).max(80).optional().catch(undefined);

/** What is to be put down on a desk, as an address names it; anything else puts nothing. */
export const PutQuery = z.object({ exercise: id, ready: id, template: id });

/** @example putAsked({ ready: 'ten-by-ten' }) // { what: 'ready', id: 'ten-by-ten' } */
export function putAsked(query: z.output<typeof PutQuery>): PutAsked | null {
  const whats = ['exercise', 'ready', 'template'] as const;
  const [what] = whats.filter((one) => query[one] !== undefined);
  const named = what && query[what];
  return what && named ? { what, id: named } : null;
}

/** What it is called and brings; null where this clinic has no such thing. */
export async function thingToPut(
  clinicId: ClinicId,
  { what, id: wanted }: PutAsked,
): Promise<{ readonly name: string; readonly says: string } | null> {
  if (what === 'exercise') {
    const exercise = (await catalogueFor(clinicId)).byId(wanted);
    return (
      exercise && {
        name: exercise.name,
        says: `One line in its usual dose, ${exercise.usualDose}, to be adjusted on the patient’s Plan.`,
      }
    );
  }
  const found =
    what === 'ready'
      ? READY_PROGRAMMES.find((one) => one.id === wanted)
      : (await templateList(clinicId)).find((one) => one.id === wanted);
  if (!found) return null;
  const count = found.lines.length === 1 ? 'One line' : `${found.lines.length} lines`;
  return { name: found.name, says: `${count}, to be adjusted on the patient’s Plan.` };
}
