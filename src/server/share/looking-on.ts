import type { Instant } from '@/core/schedule';
import { type ShareMessage, shareStanding } from '@/core/share';
import { type Patient, type Share, shareOf } from '@/db';
import { now } from '../clock';
import { figuresOfLines } from '../desk/own-figures';
import { languageFor } from '../languages';
import { packLine } from '../patient/pack-line';
import { newestVersion } from '../visit/newest-version';
import { setUpPhotos } from '../visit/set-up-photos';
import { ownCues } from '../visit/teaching';

/** A share as it stands, and a name for it that changes whenever a phone has to be told. */
export async function shareAsItStands(
  patient: Patient,
): Promise<{ readonly row: Share | null; readonly name: string }> {
  const row = await shareOf(patient.clinicId, patient.id);
  const standing = shareStanding(row, now());
  return { row, name: row ? `${row.id} ${JSON.stringify(row.shown)} ${standing}` : '' };
}

/** What a phone is told of a share: the very line that it would play by itself. */
export async function messageOf(patient: Patient, row: Share | null): Promise<ShareMessage> {
  const standing = shareStanding(row, now());
  if (!row) return { kind: 'nothing' };
  if (standing === 'over') return { kind: 'ended' };
  if (!row.shown) return { kind: 'between' };
  const { lineage, count } = row.shown;
  const [version, photos, cues] = await Promise.all([
    newestVersion(patient),
    setUpPhotos(patient),
    ownCues(patient),
  ]);
  const line = version?.lines.find((one) => one.lineage === lineage);
  if (!line) return { kind: 'between' };
  const figures = await figuresOfLines(patient.clinicId, [line]);
  return {
    kind: 'shown',
    line: packLine(line, figures(line), {
      photos: photos(lineage),
      share: 1,
      own: cues.get(lineage) ?? [],
      language: languageFor(patient),
    }),
    count: { ...count, at: count.at as Instant },
    silent: standing === 'silent',
  };
}
