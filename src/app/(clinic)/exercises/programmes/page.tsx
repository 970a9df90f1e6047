import type { Metadata } from 'next';
import { READY_PROGRAMMES, SHIPPED } from '@/catalogue';
import { readyTotals } from '@/core/ready';
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

async function ProgrammesPage() {
  await requireMember();
  return <ReadyProgrammes shown={SHOWN} />;
}
