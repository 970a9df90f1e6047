import type { Metadata } from 'next';
import { z } from 'zod';
import { READY_PROGRAMMES, SHIPPED } from '@/catalogue';
import { comparedReady, readyTotals } from '@/core/ready';
import { localDate } from '@/core/units';
import { requireMember } from '@/server/require';
import { ReadyProgrammes } from '@/ui/exercises/ready-programmes';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Ready programmes' };

/** The programmes that ship, each with its order, its true times, for whom and for whom not. */
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
  await requireMember();
  const asked = Query.parse(await searchParams);
  const [one, other] = [asked.one, asked.other].map((id) =>
    READY_PROGRAMMES.find((programme) => programme.id === id),
  );
  const rows = one && other ? comparedReady(one, other, SHIPPED.byId, FROM) : [];
  return (
    <ReadyProgrammes
      shown={SHOWN}
      compared={one && other ? { one: one.name, other: other.name, rows } : null}
      chosen={asked}
    />
  );
}
