'use client';

import { NO_SETTINGS, type SchoolSettings } from '@/core/school';
import type { Dispatch } from 'react';
import { toast } from '../primitives/toast';
import { formatDose, doseOf } from '@/core/dose';
import type { SchoolId } from '@/core/exercise';
import { useDeskFacts } from './desk-facts';
import type { Desk, DeskAction } from './desk-state';
import { readLine } from './draft';
import { CompareDialog } from './row/compare-dialog';
import { LoadDialog } from './row/load-dialog';
import { takeSchool } from './row/row-actions';
import { SchoolDialog } from './row/school-dialog';
import type { OpenDialog } from './use-row-moves';

/** The dialog a row has opened, about its line as it is now. */
export function DeskDialogs({
  dialog,
  desk,
  step,
  onClose,
}: {
  /** As `dialog` says; it is what the scripts are fetched for. */
  open: boolean;
  dialog: OpenDialog | null;
  desk: Desk;
  step: Dispatch<DeskAction>;
  onClose: () => void;
}) {
  const { catalogue } = useDeskFacts();
  const line = desk.lines.find(({ uid }) => uid === dialog?.uid);
  const read = line && readLine(line, catalogue);
  if (!dialog || !line || !read?.ok) return null;
  const { exercise, dose } = read;
  const settings = line.school?.settings ?? NO_SETTINGS;
  const { uid } = line;

  function take(id: SchoolId, given: SchoolSettings) {
    if (!line) return;
    const made = takeSchool(line, exercise, dose, { id, settings: given });
    step({ type: 'put', uid, lines: made.lines });
    toast(made.say, { action: { label: 'Undo', onClick: () => step({ type: 'undo' }) } });
    onClose();
  }
  /** One side of a disagreement replaces the head and keeps when and until. */
  function write(text: string) {
    if (!line) return;
    const { side, directions, days, until } = dose;
    const next = formatDose({
      ...doseOf(text),
      ...(side && { side }),
      ...(directions && { directions }),
      ...(days && { days }),
      ...(until && { until }),
    });
    step({ type: 'put', uid, lines: [{ ...line, dose: next, school: null }] });
    onClose();
  }

  if (dialog.kind === 'school')
    return (
      <SchoolDialog
        exercise={exercise}
        dose={dose}
        choice={{ id: dialog.school, settings }}
        onTake={() => take(dialog.school, settings)}
        onClose={onClose}
      />
    );
  return dialog.kind === 'compare' ? (
    <CompareDialog
      exercise={exercise}
      dose={dose}
      current={line.school?.id ?? null}
      settings={settings}
      onSchool={(id) => take(id, settings)}
      onDose={write}
      onClose={onClose}
    />
  ) : (
    <LoadDialog exercise={exercise} settings={settings} onScheme={take} onClose={onClose} />
  );
}
