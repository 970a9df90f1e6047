'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { ShownProposals } from '@/core/progression';
import { toast } from 'sonner';
import { v4 as uuid } from 'uuid';
import { isTyping } from '../forms/is-typing';
import { post } from '../forms/post';
import { Button } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';
import { ProposalRow, type Send } from './proposal-row';

/** What the logs propose for each line: accept, edit as a dose line, or decline with a reason. */
export function ProposalsPanel({
  patientId,
  proposals,
  mayDecide,
}: {
  patientId: string;
  proposals: ShownProposals;
  mayDecide: boolean;
}) {
  const router = useRouter();
  const first = useRef<HTMLButtonElement>(null);
  const [from, setFrom] = useState(proposals.earliest);
  const [busy, setBusy] = useState(false);
  const { open, stays, minutes, difference, version, waiting } = proposals;

  useEffect(() => {
    if (!mayDecide) return undefined;
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'a' || isTyping(event.target)) return;
      if (event.altKey || event.ctrlKey || event.metaKey) return;
      // Not while it is folded away.
      if (first.current?.offsetParent) first.current.click();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [mayDecide]);

  const decide: Send = async (proposal, decision, more = {}) => {
    const answer = await post('/api/v1/proposals', {
      id: uuid(),
      patientId,
      key: proposal.key,
      version,
      decision,
      dose: more.dose ?? null,
      reason: more.reason ?? '',
    });
    if (!answer.ok) return answer;
    router.refresh();
    return null;
  };

  async function takeBack(key: string) {
    setBusy(true);
    const answer = await post('/api/v1/proposals', {
      id: uuid(),
      patientId,
      key,
      version,
      decision: 'taken back',
      dose: null,
      reason: '',
    });
    setBusy(false);
    if (!answer.ok) toast.error(answer.say);
    router.refresh();
  }

  async function send() {
    setBusy(true);
    const answer = await post<{ number: number; effectiveFrom: string }>('/api/v1/proposals/send', {
      patientId,
      basedOn: version,
      effectiveFrom: from,
    });
    setBusy(false);
    if (!answer.ok) return toast.error(answer.say);
    toast(`Version ${answer.value.number} saved, from ${answer.value.effectiveFrom}.`);
    router.refresh();
    return undefined;
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
        <p className="figures text-[0.93em] text-soft">
          Fullest day now {minutes.now}, with all accepted {minutes.all}
          {minutes.has !== null && `; the patient has ${minutes.has}`}.
          {mayDecide && ' A accepts the first.'}
        </p>
      )}
      <ul className="divide-y divide-hair border-y border-hair empty:border-0">
        {open.map((proposal, index) => (
          <ProposalRow
            key={proposal.key}
            proposal={proposal}
            decide={decide}
            mayDecide={mayDecide}
            accept={index === 0 ? first : undefined}
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
                <span className="text-[0.93em] text-soft">From</span>
                <input
                  type="date"
                  className={INPUT_CLASS}
                  min={proposals.earliest}
                  value={from}
                  onChange={(event) => setFrom(event.target.value)}
                />
              </label>
              <Button look="main" disabled={busy} onClick={() => void send()}>
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
