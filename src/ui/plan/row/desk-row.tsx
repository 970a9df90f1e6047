'use client';

import { HOLD_LADDERS, SCHOOLS, schoolsFor } from '@/core/school';
import { isAltLetter } from '../../forms/key-bindings';
import { keysAreOn } from '../../forms/key-switch';
import { type KeyboardEvent, memo, useDeferredValue } from 'react';
import type { SetUp } from '@/core/records';
import { SESSION_NAMES, type SessionName } from '@/core/schedule';
import type { SetUpOffer } from '@/core/set-up';
import type { SchoolId } from '@/core/exercise';
import type { EpisodeId } from '@/core/units';
import { FigureThumb } from '../../figure/thumb';
import { CopySign, CrossSign, DownSign, UpSign } from '../../primitives/icons';
import { nameOf, useDeskFacts } from '../desk-facts';
import { type DeskLine, readLine } from '../draft';
import { DoseField } from './dose-field';
import { ICON_BUTTON } from './icon-button';
import { LineFlags } from './line-flags';
import { LateNotes } from './late-notes';
import { lineFlags, lineOffers } from './line-reckoning';
import { LineSetUp } from './line-set-up';
import { handleId, rowId } from './row-places';
import { WatchFold } from './watch-fold';

const SMALL_SELECT = 'rounded border border-edge bg-sheet px-1 py-0.5 text-small text-ink max-w-44';

/** What a row can ask of the desk; the same object for all rows, so that rows need not be redrawn. */
export type RowMoves = {
  readonly onType: (uid: string, dose: string) => void;
  /** As typing, but a step that can be undone. */
  readonly onRewrite: (uid: string, dose: string) => void;
  readonly onRemove: (uid: string) => void;
  /** −1 up, +1 down. */
  readonly onMove: (uid: string, by: -1 | 1) => void;
  readonly onDuplicate: (uid: string) => void;
  readonly onNext: () => void;
  readonly onFill: (uid: string) => void;
  readonly onSchool: (uid: string, school: SchoolId | null) => void;
  /** Which holds the lengthening school climbs through; empty for the trade's own. */
  readonly onHolds: (uid: string, holds: readonly number[]) => void;
  readonly onCompare: (uid: string) => void;
  readonly onLoads: (uid: string) => void;
  readonly onSession: (uid: string, session: SessionName | null) => void;
  /** The complaint it is for. */
  readonly onFor: (uid: string, episodeId: EpisodeId) => void;
  readonly onTakeSetUp: (uid: string, offers: readonly SetUpOffer[]) => void;
  readonly onRemoveSetUp: (uid: string, setUp: SetUp) => void;
  readonly onReason: (uid: string, overrides: DeskLine['overrides']) => void;
};

/** Which of several complaints a line is for; nothing where one is treated. */
function ForComplaint({
  line,
  name,
  onFor,
}: {
  readonly line: DeskLine;
  readonly name: string;
  readonly onFor: RowMoves['onFor'];
}) {
  const { episodes } = useDeskFacts();
  const chosen = line.episodeId ?? episodes[0]?.id ?? '';
  const isOpen = episodes.some(({ id }) => id === chosen);
  if (episodes.length < 2) return null;
  return (
    <select
      aria-label={`Complaint that ${name} is for`}
      className={SMALL_SELECT}
      value={chosen}
      onChange={(event) => onFor(line.uid, event.target.value)}
    >
      {!isOpen && <option value={chosen}>for one that is closed</option>}
      {episodes.map(({ id, complaint }) => (
        <option key={id} value={id}>
          for {complaint}
        </option>
      ))}
    </select>
  );
}

type RowProps = {
  readonly line: DeskLine;
  readonly isFirst: boolean;
  readonly isLast: boolean;
  readonly isNew: boolean;
  readonly moves: RowMoves;
};

/** One line of the desk: handle, name, dose, and the buttons that do what the keys do. */
export const DeskRow = memo(function DeskRow({ line, isFirst, isLast, isNew, moves }: RowProps) {
  const facts = useDeskFacts();
  const { catalogue } = facts;
  const { uid } = line;
  const exercise = catalogue.byId(line.exerciseId);
  const name = nameOf(catalogue, line.exerciseId);
  const read = readLine(line, catalogue);
  const { flags } = lineFlags(line, facts);
  const offers = lineOffers(line, facts);
  // It follows the typing at its own pace: what is typed never waits for it.
  const noted = useDeferredValue(read);
  const lacks = read.ok && read.missing.length + read.assumed.length > 0;

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    const { key, altKey, ctrlKey, metaKey, nativeEvent } = event;
    const alt = (letter: string) => isAltLetter(nativeEvent, letter, true);
    if (!keysAreOn() && (altKey || key !== 'Enter')) return;
    if (key === 'Enter' && altKey) moves.onFill(uid);
    else if (key === 'Enter' && !ctrlKey && !metaKey) moves.onNext();
    else if (altKey && key === 'ArrowUp') moves.onMove(uid, -1);
    else if (altKey && key === 'ArrowDown') moves.onMove(uid, 1);
    else if (altKey && (key === 'Backspace' || key === 'Delete')) moves.onRemove(uid);
    else if (alt('d')) moves.onDuplicate(uid);
    else if (alt('c')) moves.onCompare(uid);
    else if (alt('m')) moves.onTakeSetUp(uid, offers);
    else return;
    event.preventDefault();
  }

  return (
    <li
      id={rowId(uid)}
      className="desk-row grid grid-cols-[auto_minmax(0,1fr)] gap-x-2 border-b border-hair py-2"
    >
      <span id={handleId(uid)} className="size-7" />
      <div className="min-w-0">
        <div className="flex flex-wrap items-center gap-x-2">
          <FigureThumb
            exerciseId={line.exerciseId}
            drawing={exercise?.drawing}
            side={read.ok && read.dose.side === 'left' ? 'left' : 'right'}
          />
          <p className="min-w-0 font-semibold" dir="auto">
            {name}
          </p>
          {exercise && (
            <p className="text-small text-soft">
              {exercise.family}
              {!exercise.family.endsWith(exercise.position) && `, ${exercise.position}`}
            </p>
          )}
          <div className="ml-auto flex items-center">
            <RowButton
              label={`Move ${name} up`}
              disabled={isFirst}
              onClick={() => moves.onMove(uid, -1)}
            >
              <UpSign />
            </RowButton>
            <RowButton
              label={`Move ${name} down`}
              disabled={isLast}
              onClick={() => moves.onMove(uid, 1)}
            >
              <DownSign />
            </RowButton>
            <RowButton label={`Duplicate ${name}`} onClick={() => moves.onDuplicate(uid)}>
              <CopySign />
            </RowButton>
            <RowButton label={`Remove ${name}`} onClick={() => moves.onRemove(uid)}>
              <CrossSign />
            </RowButton>
          </div>
        </div>
        <DoseField
          uid={uid}
          name={name}
          dose={line.dose}
          read={read}
          onType={(dose) => moves.onType(uid, dose)}
          onKeyDown={onKeyDown}
          autoFocus={isNew}
        />
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1 pt-1">
          {exercise && (
            <select
              aria-label={`School of ${name}`}
              className={SMALL_SELECT}
              value={line.school?.id ?? ''}
              disabled={!read.ok}
              onChange={(event) =>
                moves.onSchool(
                  uid,
                  event.target.value === '' ? null : (event.target.value as SchoolId),
                )
              }
            >
              <option value="">No school</option>
              {schoolsFor(exercise).map((id) => (
                <option key={id} value={id}>
                  {SCHOOLS[id].name}
                </option>
              ))}
            </select>
          )}
          {line.school?.id === 'lengthen' && (
            <select
              aria-label={`Holds of ${name}`}
              className={SMALL_SELECT}
              value={line.school.settings.holds.join(' ')}
              onChange={(event) =>
                moves.onHolds(uid, event.target.value.split(' ').filter(Boolean).map(Number))
              }
            >
              <option value="">by its repetitions</option>
              {HOLD_LADDERS.map((holds) => (
                <option key={holds.join(' ')} value={holds.join(' ')}>
                  {holds.join(' → ')} s
                </option>
              ))}
            </select>
          )}
          <select
            aria-label={`Part of the day for ${name}`}
            className={SMALL_SELECT}
            value={line.session ?? ''}
            onChange={(event) =>
              moves.onSession(
                uid,
                event.target.value === '' ? null : (event.target.value as SessionName),
              )
            }
          >
            <option value="">any time</option>
            {SESSION_NAMES.map((session) => (
              <option key={session} value={session}>
                {session}
              </option>
            ))}
          </select>
          <ForComplaint line={line} name={name} onFor={moves.onFor} />
          <TextButton
            label={`Compare schools for ${name}`}
            disabled={!read.ok}
            onClick={() => moves.onCompare(uid)}
          >
            Compare
          </TextButton>
          {exercise?.mode === 'moved' && exercise.needs.effort && (
            <TextButton
              label={`Loads of ${name}`}
              disabled={!read.ok}
              onClick={() => moves.onLoads(uid)}
            >
              Loads
            </TextButton>
          )}
          {lacks && (
            <TextButton
              label={`Write what is missing in ${name}`}
              onClick={() => moves.onFill(uid)}
            >
              Write what is missing
            </TextButton>
          )}
          {exercise && <WatchFold exercise={exercise} />}
        </div>
        {noted.ok && <LateNotes uid={uid} read={noted} onRewrite={moves.onRewrite} />}
        <LineSetUp
          name={name}
          taken={line.setUp ?? []}
          offers={offers}
          onTake={(taken) => moves.onTakeSetUp(uid, taken)}
          onRemove={(setUp) => moves.onRemoveSetUp(uid, setUp)}
        />
        <LineFlags
          line={line}
          flags={flags}
          onReason={(overrides) => moves.onReason(uid, overrides)}
        />
      </div>
    </li>
  );
});

function RowButton({
  label,
  children,
  ...props
}: {
  label: string;
  children: React.ReactNode;
  disabled?: boolean;
  onClick: () => void;
}) {
  return (
    <button type="button" className={ICON_BUTTON} aria-label={label} {...props}>
      {children}
    </button>
  );
}

function TextButton({
  label,
  children,
  ...props
}: {
  label: string;
  children: string;
  disabled?: boolean;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      className="min-h-6 text-small text-action hover:underline disabled:opacity-50"
      aria-label={label}
      {...props}
    >
      {children}
    </button>
  );
}
