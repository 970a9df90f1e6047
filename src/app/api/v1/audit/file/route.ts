import Papa from 'papaparse';
import { AuditOrder, auditQuery } from '@/server/audit-asked';
import { auditFile } from '@/server/audit-list';
import { clinicOf } from '@/server/clinic';
import { noteExport } from '@/server/exports';
import { fileHandler } from '@/server/handler';

export const POST = fileHandler({
  who: 'lead',
  input: AuditOrder,
  run: async ({ actor, input }) => {
    const { zone } = await clinicOf(actor);
    const rows = await auditFile(actor, auditQuery(input, zone));
    await noteExport(actor, 'audit');
    const table = rows.map(({ at, by, verb, subject, session }) => ({
      when: new Date(at).toISOString(),
      who: by,
      did: verb,
      what: subject,
      session,
    }));
    return {
      // Names are people's own words: a cell is never taken for a formula.
      bytes: Papa.unparse(table, {
        columns: ['when', 'who', 'did', 'what', 'session'],
        escapeFormulae: true,
        newline: '\r\n',
      }),
      type: 'text/csv; charset=utf-8',
      name: `audit-${input.show}.csv`,
    };
  },
});
