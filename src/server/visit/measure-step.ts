import type { AuthorId } from '@/core/units';
import type { DetectableChanges } from '@/core/measures';
import { type Patient, membersOf } from '@/db';
import { KeptSheet } from '@/core/records';
import type { SignedIn } from '../access';
import { todayOf } from '../programme-facts';
import { newestConsent } from './entries';
import { findingList } from './findings';
import { type Measure, sheetOf } from './measuring';
import { keptVisitDraft } from './visit-drafts';
import { photoRequest, markedPhotos, ownDetectable, ownErrorOf } from './photos';

/** What of a stored measure the sheet in the browser needs. */
function known({ id, on, value, trials, body }: Measure) {
  return { id, on, value, trials, body };
}

/** Everything the Measure step shows. */
export async function measureStep(member: SignedIn, patient: Patient) {
  const own: DetectableChanges = await ownDetectable(member);
  const [{ series, detectable }, findings, photos, consent, members, kept] = await Promise.all([
    sheetOf(patient, own),
    findingList(patient),
    markedPhotos(patient),
    newestConsent(patient),
    membersOf(patient.clinicId),
    keptVisitDraft(member, patient.id, 'measures'),
  ]);
  const names = new Map<AuthorId, string>(members.map(({ id, name }) => [id, name]));
  return {
    today: todayOf(patient),
    findings,
    /** What this member has typed into the sheet and not saved; null where there is none. */
    kept: KeptSheet.safeParse(kept).data ?? null,
    photos,
    consented: consent?.body.photos === true,
    known: {
      patientId: patient.id,
      detectable,
      series: series.map(({ kind, side, first, last, count, earlier }) => ({
        kind,
        side,
        count,
        first: known(first),
        last: known(last),
        earlier: earlier.map((one) => ({
          ...known(one),
          by: names.get(one.authorId) ?? '',
          instrument: one.instrument,
          position: one.position,
          note: one.note,
          cue: one.retest?.cue ?? null,
        })),
      })),
    },
  };
}

/** A patient's photos with the looker's own error and what it makes of a change. */
export async function photoStep(member: SignedIn, patient: Patient) {
  const [photos, ownError, own, consent, { detectable, measures }, asked] = await Promise.all([
    markedPhotos(patient),
    ownErrorOf(member),
    ownDetectable(member),
    newestConsent(patient),
    sheetOf(patient),
    photoRequest(patient),
  ]);
  return {
    today: todayOf(patient),
    asked: asked && { id: asked.id, on: asked.on },
    photos,
    ownError,
    consented: consent?.body.photos === true,
    detectable: { ...detectable, ...own },
    /** Angles whose picture may be gone. */
    angles: measures.filter(({ kind }) => kind === 'craniovertebral-angle'),
  };
}
