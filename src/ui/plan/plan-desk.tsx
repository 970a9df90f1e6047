'use client';

import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import { toast } from 'sonner';
import { v4 as uuid } from 'uuid';
import type { Exercise } from '@/catalogue';
import type { WakingHours } from '@/core/schedule';
import { type LocalDate, parseLocalDate } from '@/core/units';
import { type Answer, post } from '../forms/post';
import { Refusal } from '../forms/refusal';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { DeskRow } from './desk-row';
import { type Desk, deskStep, draftOf, startHistory } from './desk-state';
import { DeskTime } from './desk-time';
import { readLine } from './draft';
import { ExerciseSearch } from './exercise-search';
import { useKeptDraft } from './use-kept-draft';

export type PlanDeskProps = {
  readonly patientId: string;
  /** The newest version there is; 0 when there is none. */
  readonly newest: number;
  readonly start: Desk;
  readonly earliest: LocalDate;
  readonly waking: WakingHours;
  readonly minutesADay: number | null;
};

/** Lines in the middle, their time beside them, everything by key, mouse or touch. */
export function PlanDesk({
  patientId,
  newest,
  start,
  earliest,
  waking,
  minutesADay,
}: PlanDeskProps) {
  const router = useRouter();
  const [history, step] = useReducer(deskStep, start, startHistory);
  const desk = history.now;
  const [newUid, setNewUid] = useState('');
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<Extract<Answer<unknown>, { ok: false }> | null>(null);
  const search = useRef<HTMLInputElement>(null);
  const forgetDraft = useKeptDraft(patientId, newest, desk, start, (kept) =>
    step({ type: 'replace', desk: kept }),
  );
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const unreadable = desk.lines.filter((line) => !readLine(line).ok).length;
  const from = parseLocalDate(desk.effectiveFrom) ?? earliest;

  function add(exercise: Exercise) {
    const uid = uuid();
    setNewUid(uid);
    step({
      type: 'add',
      line: { uid, lineage: null, anchor: null, exerciseId: exercise.id, dose: exercise.usualDose },
    });
  }

  function remove(uid: string) {
    step({ type: 'remove', uid });
    search.current?.focus();
    toast('Removed.', { action: { label: 'Undo', onClick: () => step({ type: 'undo' }) } });
  }

  const save = useCallback(async () => {
    if (busy) return;
    setBusy(true);
    setRefusal(null);
    const answer = await post<{ number: number; effectiveFrom: string }>(
      '/api/v1/programmes',
      draftOf(desk, patientId, newest),
    );
    setBusy(false);
    if (!answer.ok) return setRefusal(answer);
    forgetDraft();
    toast(`Version ${answer.value.number} saved; it begins on ${answer.value.effectiveFrom}.`);
    return router.refresh();
  }, [busy, desk, patientId, newest, forgetDraft, router]);

  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const inField = event.target instanceof HTMLInputElement;
      const command = event.ctrlKey || event.metaKey;
      if (event.key === '/' && !inField) search.current?.focus();
      else if (command && (event.key === 'Enter' || event.key === 's')) void save();
      else if (command && event.key === 'z' && !inField)
        step({ type: event.shiftKey ? 'redo' : 'undo' });
      else return;
      event.preventDefault();
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [save]);

  const wrongAt = (field: string) => (refusal?.at[0] === field ? refusal.say : '');
  return (
    <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_18rem]">
      <section aria-label="Programme" className="grid content-start gap-2">
        <ExerciseSearch onPick={add} inputRef={search} />
        {desk.lines.length === 0 && (
          <p className="py-8 text-soft">
            No exercise yet. Press <kbd className="figures">/</kbd>, type a word, press Enter; then
            write its dose, such as <span className="figures">3x10 hold 5s rest 60s 2/day</span>.
          </p>
        )}
        <DndContext
          id="desk"
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={({ active, over }) => {
            const to = desk.lines.findIndex((line) => line.uid === over?.id);
            if (over && to >= 0) step({ type: 'move', uid: String(active.id), to });
          }}
        >
          <SortableContext
            items={desk.lines.map((line) => line.uid)}
            strategy={verticalListSortingStrategy}
          >
            <ol>
              {desk.lines.map((line, place) => (
                <DeskRow
                  key={line.uid}
                  line={line}
                  place={place}
                  count={desk.lines.length}
                  isNew={line.uid === newUid}
                  moves={{
                    onType: (dose) => step({ type: 'type', uid: line.uid, dose }),
                    onRemove: () => remove(line.uid),
                    onMove: (by) => step({ type: 'move', uid: line.uid, to: place + by }),
                    onNext: () => search.current?.focus(),
                  }}
                />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
        <Keys />
      </section>
      <aside aria-label="Time and saving" className="grid content-start gap-4">
        <DeskTime
          lines={desk.lines}
          rounds={desk.rounds}
          from={from}
          waking={waking}
          minutesADay={minutesADay}
        />
        <Field
          label="Times through in a session"
          type="number"
          min={1}
          max={5}
          value={desk.rounds}
          onChange={(event) =>
            step({ type: 'set', fields: { rounds: Number(event.target.value) || 1 } })
          }
          error={wrongAt('rounds')}
        />
        <Field
          label="Begins on"
          type="date"
          min={earliest}
          value={desk.effectiveFrom}
          onChange={(event) => step({ type: 'set', fields: { effectiveFrom: event.target.value } })}
          hint={`${earliest} at the earliest.`}
          error={wrongAt('effectiveFrom')}
        />
        <Field
          label="Review on"
          type="date"
          min={desk.effectiveFrom}
          value={desk.reviewOn}
          onChange={(event) => step({ type: 'set', fields: { reviewOn: event.target.value } })}
          hint="What “until review” means."
          error={wrongAt('reviewOn')}
        />
        <Field
          label="Reason"
          value={desk.reason}
          maxLength={400}
          onChange={(event) => step({ type: 'set', fields: { reason: event.target.value } })}
          hint="Shown at its seam on Follow."
          error={wrongAt('reason')}
        />
        <Refusal say={refusal ? lineRefusal(refusal, desk) : ''} />
        {unreadable > 0 && (
          <p className="text-stop">
            {unreadable === 1
              ? 'One line cannot be read yet.'
              : `${unreadable} lines cannot be read yet.`}
          </p>
        )}
        <Button
          look="main"
          disabled={busy || desk.lines.length === 0 || unreadable > 0}
          onClick={save}
        >
          {busy ? 'Saving …' : `Save as version ${newest + 1}`}
        </Button>
        {history.before.length > 0 && (
          <Button onClick={() => step({ type: 'undo' })}>Undo the last step</Button>
        )}
      </aside>
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

function Keys() {
  return (
    <p className="pt-2 text-[0.93em] text-soft">
      <kbd className="figures">/</kbd> search · <kbd className="figures">Enter</kbd> add, then next
      · <kbd className="figures">Alt ↑ ↓</kbd> move · <kbd className="figures">Alt Delete</kbd>{' '}
      remove · <kbd className="figures">Ctrl Z</kbd> undo ·{' '}
      <kbd className="figures">Ctrl Enter</kbd> save
    </p>
  );
}
