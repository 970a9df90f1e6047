import { isDeepStrictEqual } from 'node:util';
import type { Catalogue } from '@/catalogue';
import { withFamilies } from '@/core/choose';
import { parseDose } from '@/core/dose';
import type { SentVersion } from '@/core/programme';
import type { ProgrammeDraft } from '@/core/records';
import { type SetUpFacts, measuredSetUp } from '@/core/set-up';
import type { Patient } from '@/db';
import { Problem } from '../problem';
import { type ReadFinding, findingList } from './findings';
import { type Measure, latestMeasures } from './measuring';

/** What of a patient's measures and findings a set-up stands on. */
export function setUpFacts(
  measures: readonly Measure[],
  findings: readonly ReadFinding[],
): SetUpFacts {
  return {
    measures: measures.map(({ kind, side, value, body, id, on }) => ({
      kind,
      side,
      value,
      body,
      id,
      on,
    })),
    findings: findings.map(({ key, about, say, id, cue, localDate }) =>
      withFamilies({ key, about, say, id, cue, on: localDate }),
    ),
  };
}

/**
 * A set-up is never taken as it is sent: each is one that the line had before, or what the record
 * says now.
 */
export async function checkSetUps(
  patient: Patient,
  draft: ProgrammeDraft,
  texts: readonly string[],
  catalogue: Catalogue,
  versions: readonly SentVersion[],
): Promise<void> {
  if (draft.lines.every(({ setUp = [] }) => setUp.length === 0)) return;
  const [measures, { confirmed }] = await Promise.all([
    latestMeasures(patient),
    findingList(patient),
  ]);
  const facts = setUpFacts(measures, confirmed);
  const before = versions.flatMap(({ lines }) => lines).flatMap(({ setUp }) => setUp);
  draft.lines.forEach(({ exerciseId, setUp = [] }, index) => {
    const exercise = catalogue.byId(exerciseId);
    const dose = parseDose(texts[index] ?? '');
    const known = [
      ...before,
      ...(exercise ? measuredSetUp(exercise, dose.ok ? dose.value : null, facts) : []),
    ];
    if (!setUp.every((one) => known.some((other) => isDeepStrictEqual(one, other))))
      throw new Problem(
        409,
        'The set-up of a line was measured anew, or its dose has changed since. Nothing was sent; look at the set-up and send again.',
        ['lines', index, 'setUp'],
      );
  });
}
