'use client';

import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { type CheckedLine, type PlannedLine, type ProgrammeFrame } from '@/core/programme';
import { type LocalDate, parseLocalDate } from '@/core/units';
import { type DeskFacts, nameOf } from './desk-facts';
import type { Desk } from './desk-state';
import { plannedLines, readLine } from './draft';
import { lineFlags, lineOffers } from './row/line-reckoning';

/** From so many lines the reckoning waits for a rest in the typing, milliseconds. */
const LONG = { lines: 60, restMs: 350 } as const;

/** The desk as it is judged: at once, or for a long programme once the typing rests. */
function useRested(desk: Desk): Desk {
  const [rested, setRested] = useState(desk);
  const isLong = desk.lines.length >= LONG.lines;
  useEffect(() => {
    if (!isLong) return;
    const timer = setTimeout(() => setRested(desk), LONG.restMs);
    return () => clearTimeout(timer);
  }, [desk, isLong]);
  return useDeferredValue(isLong ? rested : desk);
}

/** The desk as it is judged, with its lines understood; the same value as long as nothing changes. */
export type Settled = {
  readonly desk: Desk;
  readonly frame: ProgrammeFrame;
  /** The lines that can be read. */
  readonly planned: readonly PlannedLine[];
  /** All lines, with what each lacks and what speaks against it. */
  readonly lines: readonly CheckedLine[];
};

/**
 * The desk as everything that follows the typing takes it. It follows at its own pace, so that a long
 * programme does not hold up a key.
 */
export function useSettled(desk: Desk, facts: DeskFacts, earliest: LocalDate): Settled {
  const rested = useRested(desk);
  const { catalogue, precautions, setUp } = facts;
  const { lines, rounds } = rested;
  const from = parseLocalDate(rested.effectiveFrom) ?? earliest;
  const review = parseLocalDate(rested.reviewOn);
  const frame = useMemo(() => ({ from, review, rounds }), [from, review, rounds]);
  const planned = useMemo(() => plannedLines(lines, catalogue, from), [lines, catalogue, from]);
  const checked = useMemo(() => {
    const by = new Map(planned.map((line) => [line.lineage, line]));
    return lines.map((line): CheckedLine => {
      const read = readLine(line, catalogue);
      const { flags, open } = lineFlags(line, { catalogue, precautions });
      return {
        id: line.uid,
        name: nameOf(catalogue, line.exerciseId),
        planned: by.get(line.uid) ?? null,
        missing: read.ok ? read.missing : [],
        assumed: read.ok ? read.assumed : [],
        offers: lineOffers(line, { catalogue, setUp }),
        flags,
        openFlags: open,
      };
    });
  }, [lines, planned, catalogue, precautions, setUp]);
  return useMemo(
    () => ({ desk: rested, frame, planned, lines: checked }),
    [rested, frame, planned, checked],
  );
}
