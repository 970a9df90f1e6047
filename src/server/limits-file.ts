import {
  type LimitChange,
  type OwnLimits,
  limitChanges,
  limitsFileText,
  readLimitsFile,
} from '@/core/exchange';
import { updateClinic } from '@/db';
import type { SignedIn } from './access';
import { clinicOf } from './clinic';
import { limitsOf } from './follow/outlook';
import { Problem } from './problem';
import { writeAs } from './visit/write-as';

async function ownLimits(member: SignedIn): Promise<OwnLimits> {
  const clinic = await clinicOf(member);
  return {
    limits: limitsOf(clinic),
    detectable: clinic.detectableChanges,
    bands: clinic.bands.map((band) => ({ ...band, points: [...band.points] })),
  };
}

/** The clinic's own limits as a file that another clinic can take. */
export async function limitsFile(member: SignedIn) {
  return {
    text: limitsFileText(await ownLimits(member)),
    type: 'application/json; charset=utf-8',
    name: 'clinic-limits.json',
  };
}

export type LimitsPreview =
  | { readonly kind: 'wrong'; readonly problems: readonly string[] }
  | {
      readonly kind: 'right';
      readonly changes: readonly LimitChange[];
      /** What stood when it was looked at; sent back when it is taken. */
      readonly over: string;
    };

/** What taking a file would change; nothing is written. */
export async function previewLimits(lead: SignedIn, text: string): Promise<LimitsPreview> {
  const read = readLimitsFile(text);
  if (!read.ok) return { kind: 'wrong', problems: read.problems };
  const own = await ownLimits(lead);
  return { kind: 'right', changes: limitChanges(own, read.file), over: limitsFileText(own) };
}

/**
 * Takes a file's limits in the place of the clinic's own, all of them or none.
 *
 * @throws Problem 409 where somebody changed the clinic's since they were looked at
 */
export async function takeLimits(
  lead: SignedIn,
  { text, over }: { readonly text: string; readonly over: string },
): Promise<void> {
  const read = readLimitsFile(text);
  if (!read.ok) throw new Problem(400, read.problems.join(' '));
  const { limits, detectable, bands } = read.file;
  const own = await ownLimits(lead);
  // Sent again it stands there already.
  if (limitChanges(own, read.file).length === 0) return;
  if (limitsFileText(own) !== over)
    throw new Problem(
      409,
      'The clinic’s limits were changed since you looked at this file. Choose it again to see what it would change now.',
    );
  await writeAs(lead, 'lead', {
    verb: 'took limits from a file in',
    subject: { kind: 'clinic', id: lead.clinicId },
    statements: () => [
      updateClinic(lead.clinicId, { triageLimits: limits, detectableChanges: detectable, bands }),
    ],
  });
}
