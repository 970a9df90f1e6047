import { type AskingFinding, uncoveredFindings } from '@/core/choose';
import {
  type Cut,
  type PlannedLine,
  type ProgrammeFrame,
  cheapestCuts,
  fullestDay,
  programmeCalendar,
  programmeChecks,
} from '@/core/programme';
import { layRibbon } from '@/core/schedule';
import type { Screened } from '@/core/screen';
import type { DeskFacts } from '../desk-facts';
import type { Settled } from '../use-settled';
import { lastOf } from './last-of';

/** Weeks the calendar shows. */
const WEEKS = 6;
/** Beyond so many lines cuts are not reckoned: each would time the whole day anew. */
const MOST_LINES_CUT = 40;

/** What is reckoned from, beside the programme and what the desk knows. */
export type Beside = {
  readonly blocked: boolean;
  readonly screened: Screened;
  readonly findings: readonly AskingFinding[];
  readonly minutesADay: number | null;
  /** Where sessions were put by hand. */
  readonly dragged: Readonly<Record<string, number>>;
};

/** Each reckoning keeps its last answer, since three parts of the page ask for the same. */
function makeReckoner({ waking, zone, home, precautions }: DeskFacts) {
  const dayOf = lastOf((planned: readonly PlannedLine[], frame: ProgrammeFrame) =>
    fullestDay(planned, frame, waking),
  );
  const ribbonOf = lastOf((day: ReturnType<typeof dayOf>, dragged: Beside['dragged']) =>
    layRibbon(
      (day?.sessions ?? []).map(({ key, slot, time }) => ({ key, slot, seconds: time.most })),
      waking,
      home?.busy ?? [],
      dragged,
    ),
  );
  const cutsOf = lastOf(
    (
      planned: readonly PlannedLine[],
      frame: ProgrammeFrame,
      minutesADay: number | null,
      findings: Beside['findings'],
    ): readonly Cut[] => {
      if (minutesADay === null || planned.length > MOST_LINES_CUT) return [];
      return cheapestCuts(planned, frame, waking, minutesADay, (left) =>
        uncoveredFindings(
          findings,
          left.map(({ exercise }) => exercise),
        ).map(({ say }) => say),
      );
    },
  );
  const checksOf = lastOf(
    (
      { lines, frame }: Settled,
      { blocked, screened, findings, minutesADay }: Beside,
      day: ReturnType<typeof dayOf>,
      ribbon: ReturnType<typeof ribbonOf>,
    ) =>
      programmeChecks({
        lines,
        blocked,
        screened,
        reviewOn: frame.review,
        precautions,
        findings,
        props: home?.props ?? null,
        day: day?.setAside ?? null,
        minutesADay,
        unplaced: ribbon.unplaced.map(({ say }) => say),
      }),
  );
  const calendarOf = lastOf((planned: readonly PlannedLine[], frame: ProgrammeFrame) =>
    programmeCalendar(planned, frame, waking, zone, WEEKS * 7),
  );
  return (settled: Settled, given: Beside) => {
    const { planned, frame } = settled;
    const day = dayOf(planned, frame);
    const ribbon = ribbonOf(day, given.dragged);
    return {
      day,
      ribbon,
      cuts: () => cutsOf(planned, frame, given.minutesADay, given.findings),
      checks: () => checksOf(settled, given, day, ribbon),
      calendar: () => calendarOf(planned, frame),
    };
  };
}

const reckoners = new WeakMap<DeskFacts, ReturnType<typeof makeReckoner>>();

/** Everything that is reckoned from a desk's days, once for all parts that show it. */
export function reckonedOf(facts: DeskFacts, settled: Settled, given: Beside) {
  const there = reckoners.get(facts) ?? makeReckoner(facts);
  reckoners.set(facts, there);
  return there(settled, given);
}
