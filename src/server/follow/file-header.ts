import type { OpenAlert } from '@/core/triage';
import { LANTERN_DAYS } from '@/core/morning';
import type { DayAdherence } from '@/core/adherence';
import { adherenceHistory } from '@/core/history';
import { type LocalDate, addDays } from '@/core/units';
import { type Patient, newestLinkOf, openAlertsOf, pausesOf } from '@/db';
import type { SignedIn } from '../access';
import { factsOf, todayOf } from '../programme-facts';

/** What the header of a patient's file shows on every step. */
export type FileHeader = {
  /** A pause of the patient's own that is not over yet. */
  readonly ownPause: {
    readonly reason: string;
    readonly from: LocalDate;
    readonly to: LocalDate;
  } | null;
  readonly days: readonly DayAdherence[];
  readonly alerts: readonly OpenAlert[];
  readonly paused: boolean;
  readonly link: { readonly issued: boolean; readonly opened: boolean };
};

export async function fileHeader(member: SignedIn, patient: Patient): Promise<FileHeader> {
  const today = todayOf(patient);
  const from = addDays(today, 1 - LANTERN_DAYS);
  const [[facts], alerts, link, pauses] = await Promise.all([
    factsOf(member.clinicId, [patient], from, today),
    openAlertsOf(member.clinicId, [patient.id]),
    newestLinkOf(member.clinicId, patient.id),
    pausesOf(member.clinicId, [patient.id]),
  ]);
  const own = pauses.findLast(
    ({ cause, toDate }) => cause === 'patient' && toDate !== null && toDate >= today,
  );
  return {
    ownPause: own ? { reason: own.reason, from: own.fromDate, to: own.toDate ?? today } : null,
    days: facts ? adherenceHistory(facts, from, today) : [],
    alerts: alerts.map(({ id, kind, createdAt, escalatedAt }) => ({
      id,
      kind,
      createdAt,
      escalated: escalatedAt !== null,
    })),
    paused: facts?.pauses.some((pause) => pause.to === null) ?? false,
    link: { issued: link !== null && link.revokedAt === null, opened: link?.openedAt != null },
  };
}
