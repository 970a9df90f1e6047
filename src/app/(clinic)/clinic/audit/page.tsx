import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { AuditAddress, auditQuery } from '@/server/audit-asked';
import { auditLines } from '@/server/audit-list';
import { clinicOf } from '@/server/clinic';
import { requireRole } from '@/server/require';
import { AuditFile } from '@/ui/clinic/audit-file';
import { AuditTable } from '@/ui/clinic/audit-table';
import { buttonClass } from '@/ui/primitives/button';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Audit' };

export default legible(AuditPage);

const FIELD = 'rounded border border-edge bg-sheet px-2 py-1';

async function AuditPage({ searchParams }: PageProps<'/clinic/audit'>) {
  const member = await requireRole('lead');
  const asked = AuditAddress.parse(await searchParams);
  const { zone } = await clinicOf(member);
  const { rows, next, members } = await auditLines(member, auditQuery(asked, zone, asked.before));
  const { show, who, from, to } = asked;
  const older = new URLSearchParams({
    show,
    ...(who ? { who } : {}),
    ...(from ? { from } : {}),
    ...(to ? { to } : {}),
    before: String(next ?? 1),
  });
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Audit</h1>
      <p className="max-w-[75ch] pt-3 text-soft">
        Who did what, and who looked into which file. Nothing here can be changed or taken out; each
        minute is sealed, and a check of the record finds what was changed by another hand.
      </p>
      <form action="/clinic/audit" className="flex flex-wrap items-end gap-3 py-3">
        <label className="grid gap-1">
          Show
          <select name="show" defaultValue={show} className={FIELD}>
            <option value="changes">changes and sign-ins</option>
            <option value="looks">looks and documents</option>
          </select>
        </label>
        <label className="grid gap-1">
          Who
          <select name="who" defaultValue={who ?? ''} className={FIELD}>
            <option value="">everybody</option>
            {members.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="grid gap-1">
          From
          <input type="date" name="from" defaultValue={from ?? ''} className={FIELD} />
        </label>
        <label className="grid gap-1">
          To
          <input type="date" name="to" defaultValue={to ?? ''} className={FIELD} />
        </label>
        <button type="submit" className={buttonClass('main')}>
          Show
        </button>
        <AuditFile asked={{ show, who, from, to }} />
      </form>
      {rows.length === 0 ? (
        <p>Nothing of this kind in these days.</p>
      ) : (
        <AuditTable rows={rows} zone={zone} />
      )}
      {next !== null && (
        <p className="pt-3">
          <QuietLink href={`/clinic/audit?${older}`} className={buttonClass()}>
            Older
          </QuietLink>
        </p>
      )}
    </>
  );
}
