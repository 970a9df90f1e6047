import type { Zone } from '@/core/schedule';

type Line = {
  readonly id: number;
  readonly at: number;
  readonly by: string;
  readonly verb: string;
  readonly subject: string;
  readonly session: string;
};

/** Lines of the audit, the newest first. */
export function AuditTable({ rows, zone }: { rows: readonly Line[]; zone: Zone }) {
  const when = new Intl.DateTimeFormat('en-GB', {
    dateStyle: 'medium',
    timeStyle: 'medium',
    timeZone: zone,
  });
  const withSession = rows.some(({ session }) => session !== '');
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Audit">
      <table className="w-full text-left">
        <thead>
          <tr className="border-b border-ink">
            {['When', 'Who', 'Did', 'What', ...(withSession ? ['Session'] : [])].map((column) => (
              <th key={column} scope="col" className="py-1 pr-4 font-medium">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, at, by, verb, subject, session }) => (
            <tr key={id} className="border-b border-hair align-top">
              <td className="figures py-1 pr-4 whitespace-nowrap">{when.format(at)}</td>
              <td className="py-1 pr-4" dir="auto">
                {by}
              </td>
              <td className="py-1 pr-4">{verb}</td>
              <td className="py-1 pr-4" dir="auto">
                {subject}
              </td>
              {withSession && <td className="figures py-1">{session}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
