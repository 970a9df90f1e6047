'use client';

import { useRouter } from 'next/navigation';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { v4 as uuid } from 'uuid';
import type { Decision } from '@/core/records';
import { isTyping } from '../forms/is-typing';
import { type Answer, post } from '../forms/post';
import { Button } from '../primitives/button';
import { Field, INPUT_CLASS } from '../primitives/field';

export type ShownProposal = {
  readonly key: string;
  readonly lineage: string;
  readonly move: string;
  readonly name: string;
  readonly becomes: string | null;
  readonly from: string;
  readonly to: string | null;
  readonly why: string;
  readonly source: string;
  /** Growth that would go beyond the patient's minutes. */
  readonly beyond: boolean;
};

export type ShownProposals = {
  readonly version: number;
  readonly earliest: string;
  readonly open: readonly ShownProposal[];
  readonly stays: readonly {
    readonly lineage: string;
    readonly name: string;
    readonly why: string;
  }[];
  readonly difference: readonly string[];
  /** Accepted and not written yet. */
  readonly waiting: readonly { readonly key: string; readonly name: string }[];
  /** The day's least time in words: now, with all, and what the patient has. */
  readonly minutes: { readonly now: string; readonly all: string; readonly has: string | null };
};

type Send = (
  proposal: ShownProposal,
  decision: Exclude<Decision, 'taken back'>,
  more?: { readonly dose?: string; readonly reason?: string },
) => Promise<Extract<Answer<unknown>, { ok: false }> | null>;

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
          <Row
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

function Row({
  proposal,
  decide,
  mayDecide,
  accept,
}: {
  proposal: ShownProposal;
  decide: Send;
  mayDecide: boolean;
  /** Where its accepting button is put, so that one key can press it. */
  accept: RefObject<HTMLButtonElement | null> | undefined;
}) {
  const [asking, setAsking] = useState<'edit' | 'decline' | null>(null);
  const [dose, setDose] = useState(proposal.to ?? proposal.from);
  const [reason, setReason] = useState('');
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<{ say: string; at: string } | null>(null);
  const { name, move, from, to, becomes, why, source, beyond } = proposal;
  const grows = move.startsWith('advance');

  async function send(...given: Parameters<Send> extends [unknown, ...infer R] ? R : never) {
    setBusy(true);
    const refused = await decide(proposal, ...given);
    setBusy(false);
    if (refused) {
      setRefusal({ say: refused.say, at: String(refused.at[0] ?? '') });
      if (refused.at.length === 0) toast.error(refused.say);
    }
  }
  const errorAt = (field: string) => (refusal?.at === field ? refusal.say : '');

  return (
    <li className="grid gap-1 py-2">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span
          className={`rounded border px-1.5 text-[0.87em] ${grows ? 'border-action text-action' : 'border-stop text-stop'}`}
        >
          {move}
        </span>
        <span className="font-semibold">{name}</span>
        <span className="figures">
          {from} → {becomes ? `${becomes}, ` : ''}
          {to ?? (move === 'stop' ? 'left out' : 'next session left out')}
        </span>
      </div>
      <div className="flex flex-wrap items-start gap-x-3 gap-y-1">
        <p className="min-w-72 flex-1">
          {why} <span className="text-[0.87em] text-soft">{source}</span>
        </p>
        {mayDecide && (
          <span className="ml-auto flex gap-2">
            <Button
              look="main"
              ref={accept}
              aria-keyshortcuts={accept ? 'a' : undefined}
              disabled={busy}
              onClick={() => void send('accepted')}
              aria-label={`Accept: ${name}`}
            >
              Accept
            </Button>
            {to !== null && (
              <Button
                aria-expanded={asking === 'edit'}
                onClick={() => setAsking(asking === 'edit' ? null : 'edit')}
                aria-label={`Edit: ${name}`}
              >
                Edit
              </Button>
            )}
            <Button
              aria-expanded={asking === 'decline'}
              onClick={() => setAsking(asking === 'decline' ? null : 'decline')}
              aria-label={`Decline: ${name}`}
            >
              Decline
            </Button>
          </span>
        )}
      </div>
      {beyond && (
        <p className="text-[0.93em] font-medium">
          Together with the others it would go beyond the patient’s minutes.
        </p>
      )}
      {asking !== null && (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (asking === 'edit') void send('edited', { dose, reason });
            else void send('declined', { reason });
          }}
          noValidate
        >
          {asking === 'edit' && (
            <Field
              label="Dose line instead"
              name="dose"
              value={dose}
              className="figures min-w-72"
              onChange={(event) => setDose(event.target.value)}
              error={errorAt('dose')}
            />
          )}
          <Field
            label={asking === 'edit' ? 'Why (if you like)' : 'Why not'}
            name="reason"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            error={errorAt('reason')}
          />
          <Button type="submit" disabled={busy}>
            {asking === 'edit' ? 'Take this line' : 'Decline it'}
          </Button>
        </form>
      )}
    </li>
  );
}
