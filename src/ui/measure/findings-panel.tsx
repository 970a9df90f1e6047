'use client';

import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { togetherFindings } from '@/core/findings';
import type { PatientId } from '@/core/units';
import { newId } from '../forms/new-id';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';

import { About, Dismiss, type Decided, type Proposal, ProposedGroup } from './findings-proposed';
import { Form } from '../forms/form';

/** What the measures say: confirmed, edited, dismissed or added by the clinician. */
export function FindingsPanel({
  patientId,
  proposed,
  confirmed,
  dismissed,
  settled,
  mayDecide,
}: {
  patientId: PatientId;
  proposed: readonly Proposal[];
  confirmed: readonly Decided[];
  dismissed: readonly Decided[];
  settled: readonly Decided[];
  mayDecide: boolean;
}) {
  const { busy, send } = useSend();

  async function decide(
    finding: Pick<Decided, 'key' | 'say' | 'proposed'>,
    decision: Decided['decision'],
    reason = '',
  ): Promise<boolean> {
    const { key, say, proposed: table } = finding;
    const decided = { id: newId(), patientId, key, decision, proposed: table, say, reason };
    return send('/api/v1/findings', decided);
  }

  async function confirmAll() {
    for (const finding of proposed)
      if (!(await decide({ ...finding, proposed: finding.say }, 'confirmed'))) return;
  }

  return (
    <section aria-labelledby="findings-name" className="grid content-start gap-3">
      <h2 id="findings-name" className="border-b border-ink pb-1 text-lg">
        Findings
      </h2>
      {proposed.length === 0 && confirmed.length === 0 && (
        <p className="text-soft">
          None yet. They come from the measures, and every exercise answers to one.
        </p>
      )}
      {proposed.length > 1 && mayDecide && (
        <Button disabled={busy} onClick={() => void confirmAll()} className="justify-self-start">
          Confirm all {proposed.length}
        </Button>
      )}
      <ul className="grid gap-3">
        {togetherFindings(proposed).map((group) => (
          <ProposedGroup
            key={group.map(({ key, say }) => `${key} ${say}`).join(' ')}
            group={group}
            busy={busy}
            mayDecide={mayDecide}
            onDecide={(finding, decision, say, reason) =>
              decide({ ...finding, say, proposed: finding.say }, decision, reason)
            }
          />
        ))}
      </ul>
      {confirmed.length > 0 && <h3>Confirmed</h3>}
      <ul className="grid gap-2">
        {confirmed.map((finding) => (
          <li key={finding.id} className="border-l-2 border-ink pl-2">
            <p dir="auto">{finding.say}</p>
            <About finding={finding} />
            {mayDecide && (
              <Dismiss
                busy={busy}
                words="Take back"
                of={finding.say}
                onDismiss={(reason) => decide(finding, 'dismissed', reason)}
              />
            )}
          </li>
        ))}
      </ul>
      {mayDecide && (
        <AddFinding onAdd={(key, say) => decide({ key, say, proposed: null }, 'added')} />
      )}
      {settled.length > 0 && (
        <details>
          <summary className="text-soft">Settled ({settled.length})</summary>
          <p className="text-small text-soft">
            Confirmed earlier; the newest measures do not show it any more.
          </p>
          <ul className="grid gap-1 pt-1">
            {settled.map((finding) => (
              <li key={finding.id} className="border-l-2 border-hair pl-2 text-soft" dir="auto">
                {finding.say}
              </li>
            ))}
          </ul>
        </details>
      )}
      {dismissed.length > 0 && (
        <details>
          <summary className="text-soft">Dismissed ({dismissed.length})</summary>
          <ul className="grid gap-2 pt-1">
            {dismissed.map((finding) => (
              <li key={finding.id} className="border-l-2 border-hair pl-2 text-soft">
                <span dir="auto">{finding.say}</span> Because:{' '}
                <span dir="auto">{finding.reason}</span>
                {mayDecide && (
                  <Button
                    look="quiet"
                    disabled={busy}
                    onClick={() =>
                      void decide(finding, finding.proposed === null ? 'added' : 'confirmed')
                    }
                  >
                    Confirm after all
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

const newKey = () => `added: ${uuid()}`;

function AddFinding({ onAdd }: { onAdd: (key: string, say: string) => Promise<boolean> }) {
  const [say, setSay] = useState('');
  const [key, setKey] = useState(newKey);
  async function add() {
    if (say.trim() === '' || !(await onAdd(key, say))) return;
    setSay('');
    setKey(newKey);
  }
  return (
    <Form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <div className="flex-1">
        <Field
          label="Add one of your own"
          dir="auto"
          maxLength={400}
          value={say}
          onChange={(event) => setSay(event.target.value)}
        />
      </div>
      <Button type="submit" disabled={say.trim() === ''}>
        Add
      </Button>
    </Form>
  );
}
