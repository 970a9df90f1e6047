'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { v4 as uuid } from 'uuid';
import {
  EXERCISE_COLUMNS,
  type ExerciseColumn,
  type ExerciseRow,
  exerciseFromRow,
} from '@/core/exchange';
import { BOUT_MODES, type BoutMode } from '@/core/dose';
import { FAMILIES, POSITIONS, PURPOSES, type Position, REGIONS } from '@/core/exercise';
import type { Figure } from '@/core/figure';
import type { KeptFields } from '@/core/records';
import { KeptLine } from '../forms/kept-line';
import { useKeeping } from '../forms/use-keeping';
import { useSend } from '../forms/use-send';
import { Refusal } from '../forms/refusal';
import { Button } from '../primitives/button';
import { How, Traits, What, type Write } from './exercise-fields';
import { DrawingPart } from './studio/drawing-part';
import { Form } from '../forms/form';

const EMPTY = {
  ...Object.fromEntries(EXERCISE_COLUMNS.map((column) => [column, ''])),
  family: FAMILIES[0],
  rung: '1',
  position: POSITIONS[0],
  region: REGIONS[0],
  purpose: PURPOSES[0],
  mode: 'held',
  sidesName: 'works',
} as ExerciseRow;

/** A list stands in the form on lines of its own. */
const LISTS: readonly ExerciseColumn[] = [
  'muscles',
  'props',
  'steps',
  'cues',
  'faults',
  'keywords',
  'directions',
];

function asTyped(row: ExerciseRow): Record<ExerciseColumn, string> {
  return Object.fromEntries(
    EXERCISE_COLUMNS.map((column) => [
      column,
      LISTS.includes(column) ? row[column].split(' | ').join('\n') : row[column],
    ]),
  ) as Record<ExerciseColumn, string>;
}

const FORM = 'own-exercise';

const modeOf = (typed: string): BoutMode =>
  BOUT_MODES.find((mode) => mode === typed) ?? BOUT_MODES[0];

/** What stands in the fields at first: as it was left, else as it is. */
function typedBefore(row: ExerciseRow | null, kept: KeptFields | null) {
  const typed = asTyped(row ?? EMPTY);
  return Object.fromEntries(
    EXERCISE_COLUMNS.map((column) => [column, kept?.[column] ?? typed[column]]),
  ) as Record<ExerciseColumn, string>;
}

const ownExerciseDraft = (fields: KeptFields | null) => ({ kind: 'exercise', fields });

/** Writes or edits an exercise of the clinic's own: the same record as a row of an import. */
export function ExerciseForm({
  id,
  row,
  kept,
  figure: drawn,
}: {
  id: string | null;
  row: ExerciseRow | null;
  /** As far as it was written before the page was left. */
  kept: KeptFields | null;
  /** As it is drawn, or was being drawn; null without a drawing. */
  figure: Figure | null;
}) {
  const router = useRouter();
  const [typed, setTyped] = useState(() => typedBefore(row, kept));
  const [own] = useState(() => id ?? kept?.id ?? uuid());
  const [figure, setFigure] = useState(drawn);
  const written = useMemo(
    () => ({ ...typed, id: own, figure: JSON.stringify(figure) }),
    [typed, own, figure],
  );
  const draft = useKeeping<KeptFields | null>({
    path: '/api/v1/own-drafts',
    value: written,
    bodyOf: ownExerciseDraft,
  });
  const [refusal, setRefusal] = useState<{ column: string; say: string } | null>(null);
  const { busy, send } = useSend();
  const write: Write = (fields) => setTyped({ ...typed, ...fields });
  const wrong = (column: ExerciseColumn) => (refusal?.column === column ? refusal.say : '');

  async function save() {
    await send(
      '/api/v1/exercises',
      { id: own, exercise: { ...(exerciseFromRow(typed) as object), figure } },
      {
        done: () => {
          draft.forget();
          router.push('/exercises');
        },
        said: 'Exercise kept.',
        refused: ({ at, say }) => setRefusal({ column: String(at[1] ?? ''), say }),
      },
    );
  }

  return (
    <div className="grid gap-6 pt-4">
      <Form
        id={FORM}
        className="grid gap-6 lg:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <What typed={typed} write={write} wrong={wrong} />
        <How typed={typed} write={write} wrong={wrong} />
        <div className="lg:col-span-2">
          <Traits typed={typed} write={write} />
        </div>
      </Form>
      {/* Apart from the form: Enter in one of its fields keeps nothing. */}
      <section className="grid gap-3 border-t border-hair pt-4" aria-labelledby="drawing">
        <h2 id="drawing" className="text-xl">
          Drawing
        </h2>
        <DrawingPart
          figure={figure}
          onChange={setFigure}
          name={typed.name}
          usualDose={typed.usualDose}
          mode={modeOf(typed.mode)}
          position={typed.position as Position}
        />
      </section>
      <div className="grid gap-3 border-t border-hair pt-4">
        <Refusal say={refusal?.say ?? ''} />
        <KeptLine state={draft.state} wasKept={kept !== null} />
        <div>
          <Button look="main" type="submit" form={FORM} disabled={busy}>
            {busy ? 'Keeping …' : 'Keep'}
          </Button>
        </div>
      </div>
    </div>
  );
}
