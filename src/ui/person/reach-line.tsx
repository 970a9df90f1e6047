import type { PatientId } from '@/core/units';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { dialled, reachable } from '@/core/identity';
import type { PatientDetails } from '@/core/records';

const BY = { phone: 'a call', text: 'a text', 'e-mail': 'an e-mail' } as const;

/** How a patient is reached: numbers that dial, an address that opens the mail program, and when. */
export function ReachLine({
  patientId,
  details,
  contact,
}: {
  patientId: PatientId;
  details: PatientDetails;
  contact: string;
}) {
  const { email, reachedBy, hours, guardian } = details;
  const numbers = reachable(details, contact);
  if (numbers.length === 0 && email === '' && contact === '') return null;
  return (
    <p className="flex flex-wrap gap-x-4 text-soft">
      {numbers.map(({ number, what }) => (
        <a key={number} href={dialled(number)} className="text-action underline">
          Call {what !== '' && <bdi>{what} </bdi>}
          <span className="whitespace-nowrap">{number}</span>
        </a>
      ))}
      {numbers.length > 0 && (
        <QuietLink
          href={`/patients/${patientId}?view=summary#call`}
          className="text-action underline"
        >
          Note what was agreed
        </QuietLink>
      )}
      {contact !== '' && !numbers.some(({ number }) => number === contact) && (
        <span>
          Reached at <bdi>{contact}</bdi>
        </span>
      )}
      {email !== '' && (
        <a href={`mailto:${email}`} className="text-action underline">
          Write to <bdi>{email}</bdi>
        </a>
      )}
      {(reachedBy !== null || hours !== '') && (
        <span>
          {reachedBy !== null && `Prefers ${BY[reachedBy]}`}
          {hours !== '' && (
            <>
              {reachedBy === null ? '' : ', '}
              <bdi>{hours}</bdi>
            </>
          )}
        </span>
      )}
      {guardian.name !== '' && (
        <span>
          Guardian: <bdi>{guardian.name}</bdi>
        </span>
      )}
    </p>
  );
}
