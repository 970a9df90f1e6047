import type { Desk } from '@/core/records';
import type { LocalDate, PatientId } from '@/core/units';
import type { DeskLine } from './draft';

export type { Desk };

/** The desk with what it was before each step, for undo and redo. */
export type DeskHistory = {
  readonly now: Desk;
  readonly before: readonly Desk[];
  readonly after: readonly Desk[];
};

export type DeskAction =
  /** At the end, or at a place from 0. */
  | { readonly type: 'add'; readonly lines: readonly DeskLine[]; readonly at?: number }
  /** A copy right below, to be dosed otherwise. */
  | { readonly type: 'duplicate'; readonly uid: string; readonly newUid: string }
  /** One line by others in its place: itself changed, or with what follows it. */
  | { readonly type: 'put'; readonly uid: string; readonly lines: readonly DeskLine[] }
  | { readonly type: 'order'; readonly lines: readonly DeskLine[] }
  | { readonly type: 'note'; readonly uid: string; readonly overrides: DeskLine['overrides'] }
  | { readonly type: 'type'; readonly uid: string; readonly dose: string }
  | { readonly type: 'remove'; readonly uid: string }
  | { readonly type: 'move'; readonly uid: string; readonly to: number }
  | { readonly type: 'set'; readonly fields: Partial<Omit<Desk, 'lines'>> }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }
  | { readonly type: 'replace'; readonly desk: Desk };

const MOST_STEPS = 100;

export function startHistory(now: Desk): DeskHistory {
  return { now, before: [], after: [] };
}

/** One step on the desk. Typing in the same line is one step with what was typed before. */
export function deskStep(history: DeskHistory, action: DeskAction): DeskHistory {
  switch (action.type) {
    case 'undo': {
      const last = history.before.at(-1);
      if (!last) return history;
      return {
        now: last,
        before: history.before.slice(0, -1),
        after: [history.now, ...history.after],
      };
    }
    case 'redo': {
      const [next, ...after] = history.after;
      if (!next) return history;
      return { now: next, before: [...history.before, history.now], after };
    }
    case 'replace':
      return startHistory(action.desk);
    case 'type':
    case 'set':
    case 'note':
      // Small edits are undone in the field itself; they do not fill the history.
      return { ...history, now: applied(history.now, action) };
    case 'add':
    case 'duplicate':
    case 'put':
    case 'order':
    case 'remove':
    case 'move':
      return {
        now: applied(history.now, action),
        before: [...history.before, history.now].slice(-MOST_STEPS),
        after: [],
      };
  }
}

function applied(
  desk: Desk,
  action: Exclude<DeskAction, { type: 'undo' | 'redo' | 'replace' }>,
): Desk {
  switch (action.type) {
    case 'add':
      return {
        ...desk,
        lines: desk.lines.toSpliced(action.at ?? desk.lines.length, 0, ...action.lines),
      };
    case 'duplicate':
      return {
        ...desk,
        lines: desk.lines.flatMap((line) =>
          line.uid === action.uid
            ? [line, { ...line, uid: action.newUid, lineage: null, anchor: null }]
            : [line],
        ),
      };
    case 'put':
      return {
        ...desk,
        lines: desk.lines.flatMap((line) =>
          line.uid === action.uid ? forComplaint(action.lines, line.episodeId) : [line],
        ),
      };
    case 'order':
      return { ...desk, lines: action.lines };
    case 'note':
      return {
        ...desk,
        lines: desk.lines.map((line) =>
          line.uid === action.uid ? { ...line, overrides: action.overrides } : line,
        ),
      };
    case 'type':
      return {
        ...desk,
        lines: desk.lines.map((line) =>
          line.uid === action.uid ? { ...line, dose: action.dose } : line,
        ),
      };
    case 'remove':
      return { ...desk, lines: desk.lines.filter((line) => line.uid !== action.uid) };
    case 'move':
      return { ...desk, lines: moved(desk.lines, action.uid, action.to) };
    case 'set':
      return { ...desk, ...action.fields };
  }
}

/** Lines that do not say what they are for are for this complaint. */
export function forComplaint(
  lines: readonly DeskLine[],
  episodeId: DeskLine['episodeId'],
): readonly DeskLine[] {
  return lines.map((line) => (line.episodeId ? line : { ...line, episodeId }));
}

function moved(lines: readonly DeskLine[], uid: string, to: number): readonly DeskLine[] {
  const from = lines.findIndex((line) => line.uid === uid);
  const line = lines[from];
  if (!line) return lines;
  const others = lines.filter((other) => other.uid !== uid);
  const place = Math.max(0, Math.min(others.length, to));
  return [...others.slice(0, place), line, ...others.slice(place)];
}

/** What the server is sent. */
export function draftOf(desk: Desk, patientId: PatientId, basedOn: number) {
  return {
    patientId,
    basedOn,
    effectiveFrom: desk.effectiveFrom as LocalDate,
    reviewOn: desk.reviewOn === '' ? null : desk.reviewOn,
    rounds: desk.rounds,
    reason: desk.reason,
    lines: desk.lines.map(({ overrides, setUp, ...line }) => ({
      lineage: line.lineage,
      exerciseId: line.exerciseId,
      dose: line.dose,
      school: line.school,
      session: line.session,
      episodeId: line.episodeId ?? null,
      // A reason that was never written is no reason; the flag stays open.
      overrides: overrides.filter(({ reason }) => reason.trim() !== ''),
      setUp: setUp ?? [],
    })),
  };
}
