'use client';

import { shortDay } from '@/core/units';
import type { Dispatch } from 'react';
import { type Check, tooManyLines } from '@/core/programme';
import type { LocalDate } from '@/core/units';
import type { Answer } from '../../forms/post';
import { Refusal } from '../../forms/refusal';
import { Button } from '../../primitives/button';
import { Field } from '../../primitives/field';
import { NumberField } from '../../primitives/number-field';
import type { Desk, DeskAction } from '../desk-state';
import type { KeepState } from '../../forms/use-keeping';

const KEPT: Readonly<Record<KeepState, string>> = {
  'nothing to keep': '',
  keeping: 'Keeping this desk …',
  kept: 'This desk is kept; it is not sent yet.',
  'not kept': 'This desk could not be kept just now; it will be tried again.',
};

/** The button that makes the next version, and what keeps it from being sent. */
export function SendPanel({
  desk,
  step,
  newest,
  draft,
  refusal,
  busy,
  stops,
  incomplete,
  unreadable,
  canUndo,
  canRedo,
  onSave,
}: {
  desk: Desk;
  step: Dispatch<DeskAction>;
  newest: number;
  draft: KeepState;
  refusal: Extract<Answer<unknown>, { ok: false }> | null;
  busy: boolean;
  /** What keeps it from being sent. */
  stops: readonly Check[];
  /** Lines that lack a part that matters. */
  incomplete: number;
  unreadable: number;
  canUndo: boolean;
  canRedo: boolean;
  onSave: () => void;
}) {
  const tooMany = tooManyLines(desk.lines.length);
  return (
    <div className="grid gap-3">
      <Refusal say={refusal ? lineRefusal(refusal, desk) : ''} />
      {stops.map(({ say }) => (
        <p key={say} className="text-stop">
          {say}
        </p>
      ))}
      {tooMany && <p className="text-stop">{tooMany}</p>}
      {unreadable > 0 && (
        <p className="text-stop">
          {unreadable === 1
            ? 'One line cannot be read yet.'
            : `${unreadable} lines cannot be read yet.`}
        </p>
      )}
      <Button
        look="main"
        disabled={
          busy || tooMany !== null || stops.length > 0 || desk.lines.length === 0 || unreadable > 0
        }
        onClick={onSave}
      >
        {busy ? 'Saving …' : `Save as version ${newest + 1}`}
      </Button>
      <div className="flex gap-2">
        <Button disabled={!canUndo} onClick={() => step({ type: 'undo' })}>
          Undo
        </Button>
        <Button disabled={!canRedo} onClick={() => step({ type: 'redo' })}>
          Redo
        </Button>
      </div>
      {/* It stands below: it is known a moment later, and must not move the button under the hand. */}
      {incomplete > 0 && (
        <p className="text-lit-ink">
          {incomplete === 1 ? 'One line goes out' : `${incomplete} lines go out`} incomplete: see
          “Complete?” below, or write all that is missing.
        </p>
      )}
      <p className="text-small text-soft" role="status">
        {KEPT[draft]}
      </p>
    </div>
  );
}

/** The server's sentence, with the exercise it is about. */
function lineRefusal(refusal: Extract<Answer<unknown>, { ok: false }>, desk: Desk): string {
  const [field, index] = refusal.at;
  return field === 'lines' && typeof index === 'number' && desk.lines[index]
    ? `Line ${index + 1}: ${refusal.say}`
    : refusal.say;
}

/** From when, until when, how often through, and why: kept with the version. */
export function DatesPanel({
  desk,
  step,
  earliest,
  refusal,
}: {
  desk: Desk;
  step: Dispatch<DeskAction>;
  earliest: LocalDate;
  refusal: Extract<Answer<unknown>, { ok: false }> | null;
}) {
  const wrongAt = (field: string) => (refusal?.at[0] === field ? refusal.say : '');
  const set = (fields: Partial<Omit<Desk, 'lines'>>) => step({ type: 'set', fields });
  return (
    <div className="grid gap-3">
      <Field
        label="Begins on"
        type="date"
        min={earliest}
        value={desk.effectiveFrom}
        onChange={(event) => set({ effectiveFrom: event.target.value })}
        hint={`${shortDay(earliest)} at the earliest.`}
        error={wrongAt('effectiveFrom')}
      />
      <Field
        label="Review on"
        type="date"
        min={desk.effectiveFrom}
        value={desk.reviewOn}
        onChange={(event) => set({ reviewOn: event.target.value })}
        hint="What “until review” means."
        error={wrongAt('reviewOn')}
      />
      <NumberField
        label="Times through in a session"
        min={1}
        max={5}
        value={desk.rounds}
        onNumber={(rounds) => set({ rounds })}
        error={wrongAt('rounds')}
      />
      <Field
        label="Reason"
        value={desk.reason}
        maxLength={400}
        onChange={(event) => set({ reason: event.target.value })}
        hint="Shown at its seam on Follow."
        error={wrongAt('reason')}
      />
    </div>
  );
}
