import type { Metadata } from 'next';
import { clinicOf } from '@/server/clinic';
import { fileLooks } from '@/server/audit-list';
import { requireFile } from '@/server/require';
import { AuditTable } from '@/ui/clinic/audit-table';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Who looked at this file' };

export default legible(LooksPage);

async function LooksPage({ params }: PageProps<'/patients/[id]/looks'>) {
  const { member, patient } = await requireFile((await params).id);
  const [looks, { zone }] = await Promise.all([fileLooks(patient), clinicOf(member)]);
  return (
    <section className="grid gap-3">
      <h2 className="text-xl">Who looked at this file</h2>
      <p className="text-soft">
        The newest first. Pages of one file within ten minutes are one look; every document is one
        of its own.
      </p>
      <AuditTable
        rows={looks.map(({ what, ...look }) => ({ ...look, verb: what, subject: patient.name }))}
        zone={zone}
      />
    </section>
  );
}
