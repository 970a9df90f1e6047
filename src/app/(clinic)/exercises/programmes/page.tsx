import type { Metadata } from 'next';
import { z } from 'zod';
import { SHIPPED } from '@/catalogue';
import { READY_PROGRAMMES } from '@/catalogue/programmes';
import { comparedReady, readyTotals, templateTotals } from '@/core/ready';
import { localDate } from '@/core/units';
import { roleSuffices } from '@/server/access';
import { catalogueFor } from '@/server/desk/exercises';
import { notOfferedReady } from '@/server/desk/ready';
import { templateList } from '@/server/desk/templates';
import { requireMember } from '@/server/require';
import { ReadyProgrammes } from '@/ui/exercises/ready-programmes';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Ready programmes' };

/** The clinic's own programmes and those that ship: order, true times, for whom and for whom not. */
export default legible(ProgrammesPage);

/** A Monday: times are the same from any. */
const FROM = localDate('2026-03-02');
/** The same for everybody: reckoned once. */
const SHOWN = READY_PROGRAMMES.map((programme) => ({
  programme,
  totals: readyTotals(programme, SHIPPED.byId, FROM),
}));

/** Two to be seen side by side, by their ids; anything else compares nothing. */
const Query = z.object({
  one: z.string().max(80).optional().catch(undefined),
  other: z.string().max(80).optional().catch(undefined),
});

async function ProgrammesPage({ searchParams }: PageProps<'/exercises/programmes'>) {
  const member = await requireMember();
  const { clinicId } = member;
  const [catalogue, templates, notOffered] = await Promise.all([
    catalogueFor(clinicId),
    templateList(clinicId),
    notOfferedReady(clinicId),
  ]);
  const asked = Query.parse(await searchParams);
  const [one, other] = [asked.one, asked.other].map((id) =>
    READY_PROGRAMMES.find((programme) => programme.id === id),
  );
  const rows = one && other ? comparedReady(one, other, SHIPPED.byId, FROM) : [];
  return (
    <ReadyProgrammes
      shown={SHOWN.filter(({ programme }) => !notOffered.includes(programme.id))}
      retired={SHOWN.filter(({ programme }) => notOffered.includes(programme.id))}
      own={templates.map((template) => ({
        template,
        totals: templateTotals(template, catalogue.byId, FROM),
      }))}
      byId={catalogue.byId}
      practises={roleSuffices(member.role, 'practitioner')}
      compared={one && other ? { one: one.name, other: other.name, rows } : null}
      chosen={asked}
    />
  );
}
