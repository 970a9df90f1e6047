import Papa from 'papaparse';
import { z } from 'zod';
import { COMPARED_BY, EVIDENCE_COLUMNS, evidenceRows } from '@/core/evidence';
import { catalogueFor } from '@/server/desk/exercises';
import { noteExport } from '@/server/exports';
import { clinicEvidence } from '@/server/follow/evidence';
import { fileHandler } from '@/server/handler';

export const POST = fileHandler({
  who: 'practitioner',
  input: z.object({ by: z.enum(COMPARED_BY, { error: 'By complaint or by school.' }) }),
  run: async ({ actor, input: { by } }) => {
    const { clinicId } = actor;
    const [{ told, until }, catalogue] = await Promise.all([
      clinicEvidence(clinicId, by),
      catalogueFor(clinicId),
    ]);
    await noteExport(actor, 'evidence');
    return {
      // An exercise's name is a person's own words: a cell is never taken for a formula.
      bytes: Papa.unparse(
        evidenceRows(told, (id) => catalogue.byId(id)?.name ?? 'an exercise that is gone'),
        { columns: [...EVIDENCE_COLUMNS], escapeFormulae: true, newline: '\r\n' },
      ),
      type: 'text/csv; charset=utf-8',
      name: `evidence-by-${by}-${until ?? ''}.csv`,
    };
  },
});
