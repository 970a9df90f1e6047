import { lineFlags as flagsOf } from '@/core/exercise';
import type { Flag } from '@/core/screen';
import { type SetUpOffer, measuredSetUp, setUpOffers } from '@/core/set-up';
import type { DeskFacts } from '../desk-facts';
import { type DeskLine, readLine } from '../draft';

/** What speaks against a line, and what of it has no reason to go ahead yet. */
export function lineFlags(
  line: DeskLine,
  { catalogue, precautions }: Pick<DeskFacts, 'catalogue' | 'precautions'>,
): { readonly flags: readonly Flag[]; readonly open: readonly Flag[] } {
  const read = readLine(line, catalogue);
  const exercise = catalogue.byId(line.exerciseId);
  const flags = exercise ? flagsOf(precautions, exercise, read.ok ? read.dose : null) : [];
  return { flags, open: flags.filter((flag) => reasonFor(line, flag) === '') };
}

export function reasonFor({ overrides }: DeskLine, { precaution, trait }: Flag): string {
  return (
    overrides.find((one) => one.precaution === precaution && one.trait === trait)?.reason.trim() ??
    ''
  );
}

/** What the measures offer to a line's set-up. */
export function lineOffers(
  line: DeskLine,
  { catalogue, setUp }: Pick<DeskFacts, 'catalogue' | 'setUp'>,
): readonly SetUpOffer[] {
  const read = readLine(line, catalogue);
  const exercise = catalogue.byId(line.exerciseId);
  if (!exercise) return [];
  return setUpOffers(line.setUp ?? [], measuredSetUp(exercise, read.ok ? read.dose : null, setUp));
}
