'use client';

import type { Frozen } from '@/core/units';
import { useState } from 'react';
import { READY_PROGRAMMES } from '@/catalogue/programmes';
import type { ReadyFound } from '@/core/ready';
import type { TemplateDraft } from '@/core/records';
import { newId } from '../../forms/new-id';
import { useSend } from '../../forms/use-send';
import { Button } from '../../primitives/button';
import { Dialog } from '../../primitives/dialog';
import { Field } from '../../primitives/field';
import type { Desk } from '../desk-state';
import { Form } from '../../forms/form';

/** The clinic's templates and the programmes that ship: apply one, or keep this desk as one. */
export function TemplatesDialog({
  open,
  onClose,
  templates,
  offered,
  desk,
  onApply,
  onApplyReady,
}: {
  open: boolean;
  onClose: () => void;
  templates: readonly Frozen<TemplateDraft>[];
  /** The ready programmes that this clinic offers. */
  offered: readonly ReadyFound[];
  desk: Desk;
  onApply: (template: Frozen<TemplateDraft>) => void;
  onApplyReady: (id: string) => void;
}) {
  const { send } = useSend();
  const [name, setName] = useState('');
  const [error, setError] = useState('');

  const named = templates.find(({ name: one }) => one.toLowerCase() === name.trim().toLowerCase());

  async function save(replaces?: string) {
    const lines = desk.lines.map(({ exerciseId, dose, school, session }) => ({
      exerciseId,
      dose,
      school,
      session,
    }));
    await send(
      '/api/v1/templates',
      { id: newId(), name, rounds: desk.rounds, lines, replaces },
      {
        done: () => {
          setName('');
          setError('');
        },
        said: replaces ? 'The template is written anew.' : 'Kept as a template.',
        refused: ({ say }) => setError(say),
      },
    );
  }

  async function remove(id: string) {
    await send('/api/v1/templates/retire', { id });
  }

  return (
    <Dialog
      open={open}
      onClose={onClose}
      title="Templates"
      about="Applied below what stands on the desk; then adjust each line. Flags of this patient show at once."
    >
      {templates.length === 0 && <p className="text-soft">Your clinic has kept none yet.</p>}
      <ul>
        {templates.map((template) => (
          <li
            key={template.id}
            className="flex flex-wrap items-center gap-2 border-t border-hair py-1.5"
          >
            <p className="mr-auto min-w-0">
              <span className="font-medium" dir="auto">
                {template.name}
              </span>
              <span className="text-soft">, {template.lines.length} lines</span>
            </p>
            <Button
              look="main"
              aria-label={`Apply ${template.name}`}
              onClick={() => {
                onApply(template);
                onClose();
              }}
            >
              Apply
            </Button>
            <Button
              aria-label={`Remove the template ${template.name}`}
              onClick={() => remove(template.id)}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <ReadyList
        offered={offered}
        onApply={(id) => {
          onApplyReady(id);
          onClose();
        }}
      />
      <Form
        className="flex flex-wrap items-end gap-3 border-t border-hair pt-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!named) void save();
        }}
      >
        <div className="min-w-0 grow">
          <Field
            label="Keep this desk as"
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
            error={error}
          />
        </div>
        {named ? (
          <Button disabled={desk.lines.length === 0} onClick={() => save(named.id)}>
            Write it anew
          </Button>
        ) : (
          <Button type="submit" disabled={desk.lines.length === 0}>
            Keep
          </Button>
        )}
      </Form>
    </Dialog>
  );
}

/** The programmes ready to hand, each with whom it is for and whom not. */
function ReadyList({
  offered,
  onApply,
}: {
  offered: readonly ReadyFound[];
  onApply: (id: string) => void;
}) {
  const programmes = READY_PROGRAMMES.filter(({ id }) => offered.some((one) => one.id === id));
  if (programmes.length === 0) return null;
  return (
    <details className="border-t border-hair pt-2">
      <summary className="font-semibold">Ready to hand ({programmes.length})</summary>
      <ul>
        {programmes.map((programme) => (
          <li
            key={programme.id}
            className="flex items-start gap-3 border-t border-hair py-1.5 first:border-t-0"
          >
            <p className="mr-auto min-w-0">
              <span className="font-medium">{programme.name}</span>
              <span className="text-soft">, {programme.lines.length} lines</span>
              <span className="block text-small">For: {programme.forWhom}</span>
              <span className="block text-small text-soft">Not for: {programme.notFor}</span>
            </p>
            <Button aria-label={`Apply ${programme.name}`} onClick={() => onApply(programme.id)}>
              Apply
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
