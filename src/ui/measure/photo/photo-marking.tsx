'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { marksProblem, measurePhoto } from '@/core/measures';
import type { PatientId } from '@/core/units';
import { newId } from '../../forms/new-id';
import { useKeys } from '../../forms/use-keys';
import { useSend } from '../../forms/use-send';
import { Refusal } from '../../forms/refusal';
import { Button } from '../../primitives/button';
import { Choice, Field } from '../../primitives/field';
import {
  MARKS,
  MARK_IDS,
  type Marking,
  NO_MARKS,
  marksOf,
  nudgeMark,
  placeMark,
} from './marking-state';
import { PhotoNumbers } from './photo-numbers';
import { PhotoStage } from './photo-stage';

/** Marks a side photo point by point; every number follows from the marks. */
export function PhotoMarking({
  patientId,
  photo,
}: {
  patientId: PatientId;
  photo: { readonly id: string; readonly width: number; readonly height: number };
}) {
  const router = useRouter();
  const [history, setHistory] = useState<readonly Marking[]>([NO_MARKS]);
  const { busy, send } = useSend();
  const [say, setSay] = useState('');
  const marking = history.at(-1) ?? NO_MARKS;
  const marks = useMemo(() => marksOf(marking), [marking]);
  const problem = marks && marksProblem(marks);
  const missingLength =
    marking.points.scaleA && marking.points.scaleB && !marks?.scale
      ? 'Write the known length in millimetres.'
      : null;

  /** A step can be undone; moving on from it replaces it. */
  const step = (next: Marking) => setHistory((before) => [...before.slice(-99), next]);
  const replace = (next: Marking) => setHistory((before) => [...before.slice(0, -1), next]);
  const undo = () => setHistory((before) => (before.length > 1 ? before.slice(0, -1) : before));

  useKeys([{ key: 'z', held: 'command', whileTyping: true, does: undo }]);

  const [dragged, setDragged] = useState(marking.active);

  async function save() {
    if (!marks) return;
    setSay('');
    await send(
      '/api/v1/photos/marks',
      { id: newId(), patientId, photoId: photo.id, marks },
      {
        done: () => router.push(`/patients/${patientId}/measure/photos/${photo.id}`),
        said: 'Marks saved; the angles are measured.',
        refused: (answer) => setSay(answer.say),
      },
    );
  }

  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <PhotoStage
        href={`/api/v1/photos/picture?id=${photo.id}`}
        size={photo}
        marking={marking}
        onPlace={(point, first) => {
          if (first) {
            setDragged(marking.active);
            step(placeMark(marking, point, false));
          } else
            replace({
              ...placeMark({ ...marking, active: dragged }, point, true),
              active: marking.active,
            });
        }}
        onNudge={(by) => step(nudgeMark(marking, by, photo))}
        onPick={(id) => step({ ...marking, active: id })}
      />
      <div className="grid content-start gap-4">
        <ol className="grid" aria-label="Marks">
          {MARK_IDS.map((id) => (
            <li key={id}>
              <button
                type="button"
                aria-pressed={marking.active === id}
                onClick={() => step({ ...marking, active: id })}
                className={`flex w-full items-baseline gap-2 border-b border-hair px-1 py-0.5 text-left ${marking.active === id ? 'bg-wash font-semibold' : ''}`}
              >
                <span aria-hidden className={marking.points[id] ? 'text-action' : 'text-soft'}>
                  {marking.points[id] ? '●' : '○'}
                </span>
                {MARKS[id].name}
                <span className="sr-only">{marking.points[id] ? ', placed' : ', not placed'}</span>
                {!MARKS[id].must && !marking.points[id] && (
                  <span className="ml-auto text-small font-normal text-soft">if you can</span>
                )}
              </button>
            </li>
          ))}
        </ol>
        <p className="text-small text-soft">{MARKS[marking.active].how}</p>
        <div className="grid grid-cols-3 gap-2">
          <Choice
            label="Faces"
            value={marking.facing}
            onChange={(event) =>
              step({ ...marking, facing: event.target.value === 'left' ? 'left' : 'right' })
            }
          >
            <option>right</option>
            <option>left</option>
          </Choice>
          <Choice
            label="The line is"
            value={marking.lineKind}
            onChange={(event) =>
              step({ ...marking, lineKind: event.target.value === 'level' ? 'level' : 'vertical' })
            }
          >
            <option value="vertical">upright</option>
            <option>level</option>
          </Choice>
          <Field
            label="Length, mm"
            inputMode="decimal"
            value={marking.lengthMm}
            onChange={(event) => replace({ ...marking, lengthMm: event.target.value })}
          />
        </div>
        <div role="status">
          {marks && !problem ? (
            <PhotoNumbers measures={measurePhoto(marks)} />
          ) : (
            <p className="text-soft">Ear and C7 first; every number follows from the marks.</p>
          )}
        </div>
        <Refusal say={say || problem || missingLength || ''} />
        <div className="flex gap-2">
          <Button
            look="main"
            disabled={!marks || problem !== null || missingLength !== null || busy}
            onClick={() => void save()}
          >
            Save the marks
          </Button>
          <Button disabled={history.length < 2} onClick={undo}>
            Undo <kbd className="figures text-soft">Ctrl Z</kbd>
          </Button>
        </div>
      </div>
    </div>
  );
}
