import { QuietLink } from '@/ui/primitives/quiet-link';
import {
  OUTCOME_NAMES,
  type Outcome,
  PRECAUTIONS,
  type PrecautionId,
  type Screened,
  flagsInWords,
  standsFor,
} from '@/core/screen';
import { type LocalDate, type PatientId, shortDay } from '@/core/units';

export type HeaderScreening = {
  readonly outcome: Outcome | null;
  readonly on: LocalDate | null;
  readonly precautions: readonly PrecautionId[];
  readonly screened: Screened;
  readonly blocked: boolean;
  /** Newer answers wait for a practitioner. */
  readonly waiting: boolean;
  readonly openReferrals: number;
};

const NOTES: Readonly<Record<Screened, string>> = {
  current: '',
  'on paper': '',
  none: '',
  waiting: '',
  unfinished: 'not finished',
  'new episode': 'in an earlier episode: screen again',
  'danger since': 'a danger was reported since: screen again',
  old: 'due to be screened again',
};

/** Screening and precautions in a line of the file's header, on every step. */
export function HeaderNotes({
  patientId,
  screening,
}: {
  patientId: PatientId;
  screening: HeaderScreening;
}) {
  const { outcome, on, precautions, screened, blocked, waiting, openReferrals } = screening;
  const notes = [
    outcome === null
      ? screened === 'on paper'
        ? 'Screened on paper'
        : 'Not screened yet'
      : `${OUTCOME_NAMES[outcome]}${on === null ? '' : `, screened ${shortDay(on)}`}`,
    NOTES[screened],
    waiting ? 'answers wait to be confirmed' : '',
    openReferrals > 0
      ? `${openReferrals} referral${openReferrals === 1 ? '' : 's'} without an answer`
      : '',
  ].filter((note) => note !== '');
  return (
    <div className="file-header flex flex-wrap items-baseline gap-x-4 gap-y-1 border-t border-hair py-1.5">
      <p
        className={
          blocked ? 'font-semibold text-stop' : !standsFor(screened) ? 'font-semibold' : ''
        }
      >
        {blocked && 'Prescribing is blocked. '}
        <QuietLink href={`/patients/${patientId}/screen`} className="underline underline-offset-4">
          {notes.join(' · ')}
        </QuietLink>
      </p>
      {precautions.length > 0 && (
        <ul aria-label="Precautions" className="flex flex-wrap gap-x-3 gap-y-1">
          {precautions.map((id) => (
            <li key={id} className="border-l-2 border-plum pl-1.5">
              <details>
                <summary className="font-medium">{PRECAUTIONS[id].name}</summary>
                <p className="max-w-md text-small text-soft">
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
