import Link from 'next/link';
import {
  OUTCOME_NAMES,
  type Outcome,
  PRECAUTIONS,
  type PrecautionId,
  flagsInWords,
} from '@/core/screen';
import type { PatientId } from '@/core/units';

export type HeaderScreening = {
  readonly outcome: Outcome | null;
  readonly on: string | null;
  readonly precautions: readonly PrecautionId[];
  readonly old: boolean;
  readonly blocked: boolean;
  /** Newer answers wait for a practitioner. */
  readonly waiting: boolean;
  readonly openReferrals: number;
};

/** Screening and precautions in a line of the file's header, on every step. */
export function HeaderNotes({
  patientId,
  screening,
}: {
  patientId: PatientId;
  screening: HeaderScreening;
}) {
  const { outcome, on, precautions, old, blocked, waiting, openReferrals } = screening;
  const notes = [
    outcome === null ? 'Not screened yet' : `${OUTCOME_NAMES[outcome]}, screened ${on}`,
    old ? 'due to be screened again' : '',
    waiting ? 'answers wait to be confirmed' : '',
    openReferrals > 0
      ? `${openReferrals} referral${openReferrals === 1 ? '' : 's'} without an answer`
      : '',
  ].filter((note) => note !== '');
  return (
    <div className="file-header flex flex-wrap items-baseline gap-x-4 gap-y-1 border-t border-hair py-1.5">
      <p
        className={
          blocked ? 'font-semibold text-stop' : outcome === null || old ? 'font-semibold' : ''
        }
      >
        {blocked && 'Prescribing is blocked. '}
        <Link href={`/patients/${patientId}/screen`} className="underline underline-offset-4">
          {notes.join(' · ')}
        </Link>
      </p>
      {precautions.length > 0 && (
        <ul aria-label="Precautions" className="flex flex-wrap gap-x-3 gap-y-1">
          {precautions.map((id) => (
            <li key={id} className="border-l-2 border-plum pl-1.5">
              <details>
                <summary className="font-medium">{PRECAUTIONS[id].name}</summary>
                <p className="max-w-md text-[0.93em] text-soft">
                  {flagsInWords(id) !== '' && `Flags: ${flagsInWords(id)}. `}
                  {PRECAUTIONS[id].note}
                </p>
              </details>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
