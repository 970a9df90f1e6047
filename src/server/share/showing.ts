import type { Instant } from '@/core/schedule';
import type { ShareDraft } from '@/core/records';
import { UNSCREENED, standsFor } from '@/core/screen';
import { type ShareStanding, phoneLooksOn, shareStanding } from '@/core/share';
import type { PatientId } from '@/core/units';
import {
  GuardRefused,
  type Patient,
  endShare,
  guard,
  memberById,
  noOtherShares,
  pausesOf,
  putShare,
  shareOf,
  write,
} from '@/db';
import { type SignedIn, stillMay } from '../access';
import { now } from '../clock';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { newestVersion } from '../visit/newest-version';
import { screeningState } from '../visit/screening';
import { writeAs } from '../visit/write-as';

/** What a desk is told of what it shows. */
export type Showing = { readonly standing: ShareStanding; readonly phone: boolean };

/**
 * Why nothing is shown to a patient to do along: a stop that nobody has let go on, or a screening that
 * does not stand. One that is merely old stops nobody at home, and nobody here.
 */
async function whyNotShown(patient: Patient): Promise<string | null> {
  const { clinicId, id } = patient;
  const [{ screened, blocked }, pauses] = await Promise.all([
    screeningState(patient),
    pausesOf(clinicId, [id]),
  ]);
  if (pauses.some(({ cause, toDate }) => cause === 'stop' && toDate === null))
    return 'The patient stopped because something felt wrong. Speak with them, screen again and let the programme go on first; nothing is shown to be done before.';
  if (blocked) return 'The screening blocks exercise: nothing is shown to be done.';
  return standsFor(screened) || screened === 'old' ? null : UNSCREENED[screened];
}

/**
 * Shows a patient's phone a line of their programme and its count, or ends it. That it was begun and
 * ended stands in the audit; the count between is nobody's record, and leaves nothing.
 *
 * @throws Problem 409 while somebody else shows this patient something, after a stop, or where the screening
 *   does not stand
 */
export async function show(member: SignedIn, draft: ShareDraft): Promise<Showing> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const { id, turn, shown } = draft;
  const before = await shareOf(clinicId, patient.id);
  if (draft.does === 'end') {
    if (before?.id === id && before.endedAt === null)
      await writeAs(member, 'practitioner', {
        verb: 'ended showing exercises to',
        subject: { kind: 'patient', id: patient.id },
        statements: (at) => [endShare(clinicId, patient.id, id, at)],
      });
    return { standing: 'over', phone: false };
  }
  const say = await whyNotShown(patient);
  if (say !== null) {
    // What the phone told meanwhile ends what goes on: nobody exercises past a sign to stop.
    if (before?.id === id && before.endedAt === null)
      await write(() => [
        stillMay(member, 'practitioner'),
        endShare(clinicId, patient.id, id, now()),
      ]);
    throw new Problem(409, say);
  }
  if (shown) {
    const version = await newestVersion(patient);
    if (!version?.lines.some(({ lineage }) => lineage === shown.lineage))
      throw new Problem(409, 'This exercise is not in the programme any more. Load the page.');
  }
  const row = { clinicId, patientId: patient.id, id, memberId: member.id, turn, shown };
  const statements = (at: Instant) => [
    guard('room', noOtherShares({ clinicId, patientId: patient.id, memberId: member.id }, at)),
    putShare({ ...row, touchedAt: at }),
  ];
  try {
    if (before?.id === id)
      await write(() => [stillMay(member, 'practitioner'), ...statements(now())]);
    else
      await writeAs(member, 'practitioner', {
        verb: 'began to show exercises to',
        subject: { kind: 'patient', id: patient.id },
        statements,
      });
  } catch (error) {
    if (!(error instanceof GuardRefused && error.guard === 'room')) throw error;
    const other = before && (await memberById(clinicId, before.memberId));
    throw new Problem(
      409,
      `${other?.name ?? 'Somebody else'} is showing this patient exercises just now. Try again when that has ended.`,
    );
  }
  const at = now();
  const stands = await shareOf(clinicId, patient.id);
  return stands?.id === id
    ? { standing: shareStanding(stands, at), phone: phoneLooksOn(stands, at) }
    : { standing: 'over', phone: false };
}

/** What this member was showing the patient when the page was left, by its id; null where nothing. */
export async function leftShowing(
  member: SignedIn,
  patientId: PatientId,
): Promise<{ readonly id: string; readonly turn: number } | null> {
  const row = await shareOf(member.clinicId, patientId);
  return row?.memberId === member.id && shareStanding(row, now()) !== 'over'
    ? { id: row.id, turn: row.turn }
    : null;
}
