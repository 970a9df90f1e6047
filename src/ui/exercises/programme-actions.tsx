'use client';

import { useCallback, useState } from 'react';
import type { ProgrammeQuestion } from '@/workers/rehearse-programme.worker';
import { newId } from '../forms/new-id';
import { useSend } from '../forms/use-send';
import { part, sayMissing, usePart } from '../primitives/on-demand';
import { QuietLink } from '../primitives/quiet-link';

const REHEARSAL = part(() =>
  import('../rehearsal/programme-rehearsal').then((made) => made.ProgrammeRehearsal),
);

const LINK = 'min-h-6 text-action underline';

/** What can be done with a programme that is of no patient. */
export function ProgrammeActions({
  of,
  id,
  name,
  lines,
  rounds,
  offered,
}: Pick<ProgrammeQuestion, 'lines' | 'rounds'> & {
  of: 'ready' | 'template';
  id: string;
  name: string;
  /** This clinic offers it. */
  offered: boolean;
}) {
  const { busy, send } = useSend();
  const [rehearsed, setRehearsed] = useState(false);
  const Rehearsal = usePart(
    REHEARSAL,
    rehearsed,
    useCallback(() => {
      sayMissing();
      setRehearsed(false);
    }, []),
  );
  const button = (say: string, does: () => void, disabled = busy) => (
    <button
      type="button"
      className={LINK}
      aria-label={`${say}: ${name}`}
      disabled={disabled}
      onClick={does}
    >
      {say}
    </button>
  );
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1 py-1">
      {offered && (
        <QuietLink
          href={`/exercises/prescribe?${of}=${id}`}
          className={`${LINK} font-medium`}
          aria-label={`Prescribe to a patient: ${name}`}
        >
          Prescribe to …
        </QuietLink>
      )}
      {button('Rehearse', () => setRehearsed(true), false)}
      {of === 'ready' &&
        button('Copy to your own', () => {
          void send(
            '/api/v1/ready-programmes/copy',
            { id: newId(), readyId: id },
            { said: `${name} stands among your clinic’s own now.` },
          );
        })}
      <a
        href={`/api/v1/programme-files/file?of=${of}&id=${id}`}
        className={LINK}
        aria-label={`As a file: ${name}`}
      >
        As a file
      </a>
      {of === 'ready'
        ? button(offered ? 'Offer no more' : 'Offer again', () => {
            void send(
              '/api/v1/ready-programmes/offer',
              { id, offered: !offered },
              {
                said: offered
                  ? `${name} is not offered any more. Programmes made from it stay.`
                  : `${name} is offered again.`,
              },
            );
          })
        : button('Offer no more', () => {
            void send(
              '/api/v1/templates/retire',
              { id },
              { said: `${name} is not offered any more. Programmes made from it stay.` },
            );
          })}
      {rehearsed && Rehearsal && (
        <Rehearsal name={name} lines={lines} rounds={rounds} onClose={() => setRehearsed(false)} />
      )}
    </div>
  );
}
