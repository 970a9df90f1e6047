'use client';

import { type RefObject, useState } from 'react';
import { toast } from '../primitives/toast';
import type { Move, ShownProposal } from '@/core/progression';
import type { Asked, Decision } from '@/core/records';
import type { Refused } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Form } from '../forms/form';

type Given = { readonly dose?: string; readonly reason?: string };

/** Sends what is decided about a proposal. */
export type Decide = (
  proposal: ShownProposal,
  decision: Exclude<Decision, 'taken back'>,
  given: Given & { readonly refused: (answer: Refused) => void },
) => Promise<boolean>;

/** What stands where no dose does. */
const INSTEAD: Readonly<Partial<Record<Move, string>>> = {
  stop: 'left out',
  'rest day': 'next session left out',
  ask: 'the patient is asked',
  'choose load': 'your choice',
};

/** What accepting does, in a word. */
const ASKING: Readonly<Record<Asked, string>> = {
  'how it goes': 'Ask on the phone',
  'ten-rep maximum': 'Ask on the phone',
  repetitions: 'Ask on the phone',
  weights: 'I will ask',
};

/** One proposal, with its reason and the ways to answer it. */
export function ProposalRow({
  proposal,
  decide,
  busy,
  mayDecide,
  accept,
}: {
  proposal: ShownProposal;
  decide: Decide;
  busy: boolean;
  mayDecide: boolean;
  /** Where its accepting button is put, so that one key can press it. */
  accept: RefObject<HTMLButtonElement | null> | undefined;
}) {
  const [asking, setAsking] = useState<'edit' | 'decline' | null>(null);
  const [dose, setDose] = useState(proposal.to ?? proposal.from);
  const [reason, setReason] = useState('');
  const [refusal, setRefusal] = useState<{ say: string; at: string } | null>(null);
  const { name, move, kind, from, to, becomes, why, source, beyond, choices, asks } = proposal;
  const grows = kind === 'growth' || kind === 'ask';

  function refused({ say, at }: Refused) {
    setRefusal({ say, at: String(at[0] ?? '') });
    if (at.length === 0) toast.error(say);
  }
  const send = (decision: Parameters<Decide>[1], given: Given = {}) =>
    decide(proposal, decision, { ...given, refused });
  const errorAt = (field: string) => (refusal?.at === field ? refusal.say : '');

  return (
    <li className="grid gap-1 py-2">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span
          className={`rounded border px-1.5 text-small ${grows ? 'border-action text-action' : 'border-stop text-stop'}`}
        >
          {move}
        </span>
        <span className="font-semibold">{name}</span>
        <span className="figures">
          {from} → {becomes ? `${becomes}, ` : ''}
          {to ?? INSTEAD[move] ?? ''}
        </span>
      </div>
      <div className="flex flex-wrap items-start gap-x-3 gap-y-1">
        <p className="min-w-72 flex-1">
          {why} <span className="text-small text-soft">{source}</span>
        </p>
        {mayDecide && (
          <span className="ml-auto flex gap-2">
            {move !== 'choose load' && (
              <Button
                look="main"
                ref={accept}
                aria-keyshortcuts={accept ? 'a' : undefined}
                disabled={busy}
                onClick={() => void send('accepted')}
                aria-label={asks ? `${ASKING[asks]}: ${name}` : `Accept: ${name}`}
              >
                {asks ? ASKING[asks] : 'Accept'}
              </Button>
            )}
            {(to !== null || move === 'choose load') && (
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
      {choices.length > 0 && (
        <ul aria-label={`Choose for ${name}`} className="grid gap-1 pl-4">
          {choices.map(({ line, say }) => (
            <li key={line} className="flex flex-wrap items-center gap-x-3 gap-y-1">
              <span className="figures">{line}</span>
              <span className="min-w-60 flex-1 text-small">{say}</span>
              {mayDecide && (
                <Button
                  disabled={busy}
                  aria-label={`Take ${line}: ${name}`}
                  onClick={() => void send('edited', { dose: line, reason: say.slice(0, 400) })}
                >
                  {move === 'choose load' ? 'Take this' : 'Take this instead'}
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      {beyond && (
        <p className="text-small font-medium">
          Together with the others it would go beyond the patient’s minutes.
        </p>
      )}
      {asking !== null && (
        <Form
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
        </Form>
      )}
    </li>
  );
}
