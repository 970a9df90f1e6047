'use client';

import { type LocalDate, shortDay } from '@/core/units';
import { useState } from 'react';
import type { ProposedFinding } from '@/core/findings';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Form } from '../forms/form';

/** A finding as a clinician said something to it. */
export type Decided = {
  readonly id: string;
  readonly key: string;
  readonly decision: 'confirmed' | 'dismissed' | 'added';
  readonly say: string;
  readonly towards: string;
  readonly cue: string | null;
  readonly source: string;
  readonly reason: string;
  readonly proposed: string | null;
  readonly localDate: LocalDate;
};
/** A finding that the measures propose, with what was said to it before. */
export type Proposal = ProposedFinding & { readonly before: Decided | null };

/** What a finding points to, and where that comes from. */
export function About({ finding }: { finding: Pick<Decided, 'towards' | 'source' | 'cue'> }) {
  return (
    <p className="text-small text-soft">
      {finding.towards !== '' && `Points to: ${finding.towards}. `}
      {finding.cue !== null && `Cue for the programme: “${finding.cue}”. `}
      {finding.source}
    </p>
  );
}

type OnDecide = (
  finding: Proposal,
  decision: 'confirmed' | 'dismissed',
  say: string,
  reason: string,
) => Promise<boolean>;

/** Findings that say the same of one movement are one row; a button takes them one by one. */
export function ProposedGroup({
  group,
  busy,
  mayDecide,
  onDecide,
}: {
  group: readonly Proposal[];
  busy: boolean;
  mayDecide: boolean;
  onDecide: OnDecide;
}) {
  const [isApart, setApart] = useState(false);
  if (group.length === 1 || isApart)
    return group.map((finding) => (
      <ProposedRow
        key={finding.key}
        finding={finding}
        busy={busy}
        mayDecide={mayDecide}
        onDecide={(decision, say, reason) => onDecide(finding, decision, say, reason)}
      />
    ));
  const said = group.map(({ say }) => say).join(' ');
  const all = async (decision: 'confirmed' | 'dismissed', reason: string) => {
    for (const finding of group)
      if (!(await onDecide(finding, decision, finding.say, reason))) return false;
    return true;
  };
  return (
    <li className="grid gap-1 border-l-2 border-lit pl-2">
      <p>{said}</p>
      {group.map((finding) => (
        <About key={finding.key} finding={finding} />
      ))}
      {mayDecide && (
        <div className="flex flex-wrap items-start gap-2">
          <Button disabled={busy} onClick={() => void all('confirmed', '')}>
            Confirm<span className="sr-only">: {said}</span>
          </Button>
          <Button look="quiet" onClick={() => setApart(true)}>
            One by one<span className="sr-only">: {said}</span>
          </Button>
          <Dismiss
            busy={busy}
            words="Dismiss"
            of={said}
            onDismiss={(reason) => all('dismissed', reason)}
          />
        </div>
      )}
    </li>
  );
}

function ProposedRow({
  finding,
  busy,
  mayDecide,
  onDecide,
}: {
  finding: Proposal;
  busy: boolean;
  mayDecide: boolean;
  onDecide: (decision: 'confirmed' | 'dismissed', say: string, reason: string) => Promise<boolean>;
}) {
  const [editing, setEditing] = useState(false);
  const [say, setSay] = useState(finding.say);
  return (
    <li className="grid gap-1 border-l-2 border-lit pl-2">
      {editing ? (
        <Field
          label="The finding in your words"
          value={say}
          dir="auto"
          onChange={(event) => setSay(event.target.value)}
        />
      ) : (
        <p>{finding.say}</p>
      )}
      {finding.before && (
        <p className="text-small">
          Before, on {shortDay(finding.before.localDate)}:{' '}
          <span dir="auto">{finding.before.say}</span>
          {finding.before.decision === 'dismissed' && ' (dismissed)'}
        </p>
      )}
      <About finding={finding} />
      {mayDecide && (
        <div className="flex flex-wrap items-start gap-2">
          <Button disabled={busy} onClick={() => void onDecide('confirmed', say, '')}>
            Confirm<span className="sr-only">: {finding.say}</span>
          </Button>
          {!editing && (
            <Button look="quiet" onClick={() => setEditing(true)}>
              Edit<span className="sr-only">: {finding.say}</span>
            </Button>
          )}
          <Dismiss
            busy={busy}
            words="Dismiss"
            of={finding.say}
            onDismiss={(reason) => onDecide('dismissed', say, reason)}
          />
        </div>
      )}
    </li>
  );
}

/** Asks for the reason before something is dismissed. */
export function Dismiss({
  words,
  of,
  busy,
  onDismiss,
}: {
  words: string;
  /** What it is about, for those who hear the buttons one by one. */
  of: string;
  busy: boolean;
  onDismiss: (reason: string) => Promise<boolean>;
}) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  if (!asking)
    return (
      <Button look="quiet" onClick={() => setAsking(true)}>
        {words}
        <span className="sr-only">: {of}</span>
      </Button>
    );
  return (
    <Form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void onDismiss(reason).then((done) => done && setAsking(false));
      }}
    >
      <Field
        label="Why"
        autoFocus
        dir="auto"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <Button type="submit" disabled={busy || reason.trim() === ''}>
        {words}
      </Button>
    </Form>
  );
}
