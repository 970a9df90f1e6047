import { type Dose, formatDose } from '@/core/dose';
import type { HoldCheck } from '@/core/load';
import { exactly, formatSeconds, seconds } from '@/core/units';

const VERDICTS: Readonly<Record<HoldCheck['verdict'], string>> = {
  within: 'The hold is within that.',
  'models differ': 'Some models let it be held, some do not.',
  beyond: 'The hold asked is longer.',
};

/** The same held time in shorter holds, the rest of the dose as it was. */
export function shorterDose(dose: Dose, { reps, hold }: { reps: number; hold: number }): string {
  const shorter: Dose = {
    ...dose,
    head: { kind: 'bouts', bouts: exactly(reps), span: exactly(seconds(hold)) },
    gap: dose.gap ?? exactly(seconds(hold)),
  };
  delete (shorter as { hold?: unknown }).hold;
  delete (shorter as { rest?: unknown }).rest;
  return formatDose(shorter);
}

/** How long a steady hold is predicted to last, both sides of the trade's disagreement beside it. */
export function HoldNote({
  check,
  dose,
  onShorter,
}: {
  check: HoldCheck;
  dose: Dose;
  onShorter: (dose: string) => void;
}) {
  const { predicted, verdict, shorter } = check;
  return (
    <p className={`text-small ${verdict === 'beyond' ? 'font-medium' : 'text-soft'}`}>
      At this effort a steady hold is predicted to last {formatSeconds(predicted.least)} to{' '}
      {formatSeconds(predicted.most)} (Rohmert 1960; Frey Law & Avin 2010, memory; none is for the
      neck). {VERDICTS[verdict]}
      {shorter && (
        <>
          {' '}
          The same held time in shorter holds:{' '}
          <button
            type="button"
            className="figures text-action underline"
            onClick={() => onShorter(shorterDose(dose, shorter))}
          >
            write {shorter.reps}x{shorter.hold}s
          </button>
          . The pain-relief school holds that unbroken length is what counts, and that keeping the
          feeling lets the force fall.
        </>
      )}
    </p>
  );
}
