'use client';

import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { uncoveredFindings } from '@/core/choose';
import type { ConfirmedFinding } from '@/core/choose';
import type { Screened } from '@/core/screen';
import {
  type Check,
  type Cut,
  cheapestCuts,
  fullestDay,
  programmeCalendar,
  programmeChecks,
} from '@/core/programme';
import { layRibbon } from '@/core/schedule';
import { type LocalDate, parseLocalDate } from '@/core/units';
import type { DeskFacts } from './desk-facts';
import { nameOf } from './desk-facts';
import type { Desk } from './desk-state';
import { plannedLines, readLine } from './draft';
import { lineFlags, lineOffers } from './row/line-reckoning';

/** Weeks the calendar shows. */
const WEEKS = 6;
/** Beyond so many lines cuts are not reckoned: each would time the whole day anew. */
const MOST_LINES_CUT = 40;
/** From so many lines the reckoning waits for a rest in the typing, milliseconds. */
const LONG = { lines: 60, restMs: 350 } as const;

/** The desk as it is reckoned: at once, or for a long programme once the typing rests. */
function useSettled(desk: Desk): Desk {
  const [rested, setRested] = useState(desk);
  const isLong = desk.lines.length >= LONG.lines;
  useEffect(() => {
    if (!isLong) return;
    const timer = setTimeout(() => setRested(desk), LONG.restMs);
    return () => clearTimeout(timer);
  }, [desk, isLong]);
  return useDeferredValue(isLong ? rested : desk);
}

/**
 * Everything that is reckoned from the desk. It follows the typing at its own pace, so that a long
 * programme does not hold up a key.
 */
export function useReckoning(
  desk: Desk,
  facts: DeskFacts,
  earliest: LocalDate,
  given: {
    readonly blocked: boolean;
    readonly screened: Screened;
    readonly findings: readonly ConfirmedFinding[];
    readonly minutesADay: number | null;
    readonly dragged: Readonly<Record<string, number>>;
  },
) {
  const { blocked, screened, findings, minutesADay, dragged } = given;
  const settled = useSettled(desk);
  const { catalogue, waking, zone, home, precautions, setUp } = facts;
  const frame = useMemo(
    () => ({
      from: parseLocalDate(settled.effectiveFrom) ?? earliest,
      review: parseLocalDate(settled.reviewOn),
      rounds: settled.rounds,
    }),
    [settled.effectiveFrom, settled.reviewOn, settled.rounds, earliest],
  );
  const planned = useMemo(
    () => plannedLines(settled.lines, catalogue, frame.from),
    [settled.lines, catalogue, frame.from],
  );
  const day = useMemo(() => fullestDay(planned, frame, waking), [planned, frame, waking]);
  const ribbon = useMemo(
    () =>
      layRibbon(
        (day?.sessions ?? []).map(({ key, slot, time }) => ({ key, slot, seconds: time.most })),
        waking,
        home?.busy ?? [],
        dragged,
      ),
    [day, waking, home, dragged],
  );
  const cuts = useMemo((): Cut[] => {
    if (minutesADay === null || planned.length > MOST_LINES_CUT) return [];
    return cheapestCuts(planned, frame, waking, minutesADay, (left) =>
      uncoveredFindings(
        findings,
        left.map(({ exercise }) => exercise),
      ).map(({ say }) => say),
    );
  }, [planned, frame, waking, minutesADay, findings]);
  const checks = useMemo((): Check[] => {
    const by = new Map(planned.map((line) => [line.lineage, line]));
    return programmeChecks({
      lines: settled.lines.map((line) => {
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
      }),
      blocked,
      screened,
      reviewOn: frame.review,
      precautions,
      findings,
      props: home?.props ?? null,
      day: day?.setAside ?? null,
      minutesADay,
      unplaced: ribbon.unplaced.map(({ say }) => say),
    });
  }, [
    settled.lines,
    planned,
    catalogue,
    setUp,
    precautions,
    blocked,
    screened,
    frame.review,
    findings,
    home,
    day,
    minutesADay,
    ribbon,
  ]);
  const calendar = useMemo(
    () => programmeCalendar(planned, frame, waking, zone, WEEKS * 7),
    [planned, frame, waking, zone],
  );
  return { day, ribbon, cuts, checks, calendar, frame, planned, settled };
}
