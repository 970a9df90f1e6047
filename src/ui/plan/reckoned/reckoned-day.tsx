'use client';

import { cutText } from '@/core/programme';
import { sumRanges } from '@/core/units';
import { useDeskFacts } from '../desk-facts';
import type { RowMoves } from '../row/desk-row';
import type { Settled } from '../use-settled';
import { DayRibbon } from './day-ribbon';
import { DeskTime } from './desk-time';
import { type Beside, reckonedOf } from './reckoner';

/** What the programme takes of the fullest day, and where it lies in it. */
export function ReckonedDay({
  settled,
  given,
  moves,
  onDrag,
}: {
  settled: Settled;
  given: Beside;
  moves: RowMoves;
  onDrag: (key: string, minute: number) => void;
}) {
  const facts = useDeskFacts();
  const { day, ribbon, cuts, calendar } = reckonedOf(facts, settled, given);
  return (
    <>
      <DeskTime
        day={day}
        week={sumRanges(
          calendar()
            .slice(0, 7)
            .map(({ time }) => time),
        )}
        unread={settled.lines.filter(({ planned }) => planned === null).length}
        minutesADay={given.minutesADay}
        cuts={cuts()}
        onCut={(cut) => {
          const dose = cutText(cut);
          if (dose === null) moves.onRemove(cut.line.lineage);
          else moves.onRewrite(cut.line.lineage, dose);
        }}
      />
      {day && (
        <DayRibbon
          ribbon={ribbon}
          sessions={day.sessions}
          busy={facts.home?.busy ?? []}
          onDrag={onDrag}
        />
      )}
    </>
  );
}
