'use client';

import { NO_SETTINGS, SCHOOLS, attachSchool } from '@/core/school';
import { type Dispatch, type RefObject, useEffect, useMemo, useRef } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import type { Catalogue } from '@/catalogue';
import type { SchoolId } from '@/core/exercise';
import { withOffers } from '@/core/set-up';
import type { Desk, DeskAction } from './desk-state';
import { type DeskLine, readLine } from './draft';
import type { RowMoves } from './row/desk-row';
import { type LineStep, fillMissing } from './row/row-actions';

/** A dialog that a row opened. */
export type OpenDialog =
  | { readonly kind: 'compare' | 'loads'; readonly uid: string }
  /** A school that cannot read the dose. */
  | { readonly kind: 'school'; readonly uid: string; readonly school: SchoolId };

/** What rows ask of the desk: one object for the desk's whole life, so that no row is redrawn for it. */
export function useRowMoves(
  desk: Desk,
  catalogue: Catalogue,
  step: Dispatch<DeskAction>,
  search: RefObject<HTMLInputElement | null>,
  openDialog: (dialog: OpenDialog) => void,
): RowMoves {
  const now = useRef({ desk, catalogue });
  useEffect(() => {
    now.current = { desk, catalogue };
  });

  return useMemo(() => {
    const lineOf = (uid: string) => now.current.desk.lines.find((line) => line.uid === uid);
    function understood(uid: string) {
      const line = lineOf(uid);
      const read = line && readLine(line, now.current.catalogue);
      return line && read?.ok ? { line, read } : null;
    }
    function put(uid: string, made: LineStep | null) {
      if (!made) return;
      step({ type: 'put', uid, lines: made.lines });
      toast(made.say, { action: { label: 'Undo', onClick: () => step({ type: 'undo' }) } });
    }
    const change = (uid: string, fields: Partial<DeskLine>) => {
      const line = lineOf(uid);
      if (line) step({ type: 'put', uid, lines: [{ ...line, ...fields }] });
    };
    return {
      onType: (uid, dose) => step({ type: 'type', uid, dose }),
      onRewrite: (uid, dose) => change(uid, { dose }),
      onRemove: (uid) => {
        step({ type: 'remove', uid });
        search.current?.focus();
        toast('Removed.', { action: { label: 'Undo', onClick: () => step({ type: 'undo' }) } });
      },
      onMove: (uid, by) => {
        const place = now.current.desk.lines.findIndex((line) => line.uid === uid);
        step({ type: 'move', uid, to: place + by });
      },
      onDuplicate: (uid) => step({ type: 'duplicate', uid, newUid: uuid() }),
      onNext: () => search.current?.focus(),
      onFill: (uid) => {
        const found = understood(uid);
        if (found) put(uid, fillMissing(found.line, found.read.exercise, found.read.dose));
      },
      onSchool: (uid, id) => {
        const found = understood(uid);
        if (!found) return;
        const { line, read } = found;
        if (id === null) return change(uid, { school: null });
        const settings = line.school?.settings ?? NO_SETTINGS;
        const choice = { id, settings };
        if (attachSchool(read.dose, read.exercise, choice).kind === 'asks')
          return openDialog({ kind: 'school', uid, school: id });
        put(uid, {
          lines: [{ ...line, school: choice }],
          say: `Kept as written; it goes on by “${SCHOOLS[id].name}”.`,
        });
      },
      onHolds: (uid, holds) => {
        const school = lineOf(uid)?.school;
        if (school) change(uid, { school: { ...school, settings: { ...school.settings, holds } } });
      },
      onCompare: (uid) => openDialog({ kind: 'compare', uid }),
      onLoads: (uid) => openDialog({ kind: 'loads', uid }),
      onSession: (uid, session) => change(uid, { session }),
      onFor: (uid, episodeId) => change(uid, { episodeId }),
      onTakeSetUp: (uid, offers) => {
        const line = lineOf(uid);
        if (!line || offers.length === 0) return;
        const setUp = withOffers(line.setUp ?? [], offers);
        put(uid, { lines: [{ ...line, setUp }], say: 'It goes home with the exercise.' });
      },
      onRemoveSetUp: (uid, setUp) => {
        const taken = lineOf(uid)?.setUp ?? [];
        change(uid, { setUp: taken.filter((one) => one !== setUp) });
      },
      onReason: (uid, overrides) => step({ type: 'note', uid, overrides }),
    };
  }, [step, search, openDialog]);
}
