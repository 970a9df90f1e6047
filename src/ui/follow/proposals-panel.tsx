'use client';

import { useRef, useState } from 'react';
import type { ShownProposals } from '@/core/progression';
import { type LocalDate, type PatientId, shortDay } from '@/core/units';
import { newId } from '../forms/new-id';
import { useKeys } from '../forms/use-keys';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';
import { type Decide, ProposalRow } from './proposal-row';

/** What the logs propose for each line: accept, edit as a dose line, or decline with a reason. */
export function ProposalsPanel({
  patientId,
  proposals,
  mayDecide,
}: {
  patientId: PatientId;
  proposals: ShownProposals;
  mayDecide: boolean;
}) {
  const first = useRef<HTMLButtonElement>(null);
  const [from, setFrom] = useState(proposals.earliest);
  const { busy, send } = useSend();
  const { open, stays, minutes, difference, version, waiting, undecided } = proposals;
  const firstAcceptable = open.findIndex(({ move }) => move !== 'choose load');

  function acceptFirst() {
    // Not while it is folded away.
    if (first.current?.offsetParent) first.current.click();
  }
  useKeys(mayDecide ? [{ key: 'a', held: 'alt', does: acceptFirst }] : []);

  const decide: Decide = (proposal, decision, { dose = null, reason = '', refused }) => {
    const { key } = proposal;
    const said = { id: newId(), patientId, key, version, decision, dose, reason };
    return send('/api/v1/proposals', said, { refused });
  };

  async function takeBack(key: string) {
    const said = { id: newId(), patientId, key, version, dose: null, reason: '' };
    await send('/api/v1/proposals', { ...said, decision: 'taken back' });
  }

  async function write() {
    const order = { patientId, basedOn: version, effectiveFrom: from };
    await send<{ number: number; effectiveFrom: LocalDate }>('/api/v1/proposals/send', order, {
      said: ({ number, effectiveFrom }) =>
        `Version ${number} saved, from ${shortDay(effectiveFrom)}.`,
    });
  }

  return (
    <div className="grid gap-3">
      {open.length === 0 && (
        <p className="text-soft">
          {waiting.length > 0
            ? 'Everything is decided.'
            : 'Nothing to decide: no line asks for a change.'}
        </p>
      )}
      {open.length > 0 && (
        <p className="figures text-small text-soft">
          Fullest day now {minutes.now}, with all accepted {minutes.all}
          {minutes.has !== null && `; the patient has ${minutes.has}`}.
          {mayDecide && ' Alt A accepts the first.'}
        </p>
      )}
      <ul className="divide-y divide-hair border-y border-hair empty:border-0">
        {open.map((proposal, index) => (
          <ProposalRow
            key={proposal.key}
            proposal={proposal}
            decide={decide}
            busy={busy}
            mayDecide={mayDecide}
            accept={index === firstAcceptable ? first : undefined}
          />
        ))}
      </ul>
      {difference.length > 0 && (
        <section aria-label="Accepted" className="grid gap-2 rounded border-2 border-lit p-3">
          <p className="font-semibold">Accepted, waiting for version {version + 1}:</p>
          <ul className="list-disc pl-5">
            {difference.map((say) => (
              <li key={say}>{say}</li>
            ))}
          </ul>
          {undecided.length > 0 && (
            <p role="alert" className="font-medium text-stop">
              Something has gone wrong since with {undecided.join(', ')}: decide on it above before
              this is written.
            </p>
          )}
          {mayDecide && (
            <div className="flex flex-wrap items-end gap-3">
              {waiting.map(({ key, name }) => (
                <Button
                  key={key}
                  disabled={busy}
                  onClick={() => void takeBack(key)}
                  className="order-last"
                >
                  Take back: {name}
                </Button>
              ))}
              <label className="grid gap-1">
                <span className="text-small text-soft">From</span>
                <input
                  type="date"
                  className={INPUT_CLASS}
                  min={proposals.earliest}
                  value={from}
                  onChange={(event) => setFrom(event.target.value)}
                />
              </label>
              <Button
                look="main"
                disabled={busy || undecided.length > 0}
                onClick={() => void write()}
              >
                Write version {version + 1}
              </Button>
            </div>
          )}
        </section>
      )}
      {stays.length > 0 && (
        <details>
          <summary className="text-action">Lines that stay, and why ({stays.length})</summary>
          <ul className="pt-1">
            {stays.map(({ lineage, name, why }) => (
              <li key={lineage}>
                <span className="font-medium">{name}</span> <span className="text-soft">{why}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
