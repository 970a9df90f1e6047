import { QuietLink } from '@/ui/primitives/quiet-link';
import type { PatientId } from '@/core/units';

export type FindingShown = {
  readonly id: string;
  readonly say: string;
  readonly towards: string;
  readonly cue: string | null;
};

/** The confirmed findings that every exercise answers to. */
export function FindingsLeft({
  patientId,
  findings,
}: {
  patientId: PatientId;
  findings: readonly FindingShown[];
}) {
  return (
    <section aria-label="Confirmed findings">
      <div className="flex items-baseline gap-3">
        <h2 className="mr-auto font-semibold">Findings</h2>
        <QuietLink href={`/patients/${patientId}/stairs`} className="text-action underline">
          Stairs
        </QuietLink>
      </div>
      {findings.length === 0 ? (
        <p className="text-soft">
          None confirmed yet.{' '}
          <QuietLink href={`/patients/${patientId}/measure`} className="text-action underline">
            Measure
          </QuietLink>{' '}
          first: every exercise answers to one.
        </p>
      ) : (
        <ul className="grid gap-1 pt-1">
          {findings.map(({ id, say, towards, cue }) => (
            <li key={id} className="border-l-2 border-hair py-0.5 pl-2">
              <span dir="auto">{say}</span>
              {towards !== '' && (
                <span className="block text-small text-soft">Points to: {towards}.</span>
              )}
              {cue !== null && <span className="block text-small">Cue: “{cue}”.</span>}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
