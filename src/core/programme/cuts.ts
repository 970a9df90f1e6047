import { type Dose, formatDose, sayDoseChange, doseDifference, setsOf } from '../dose';
import type { WakingHours } from '../schedule';
import { type Seconds, seconds } from '../units';
import { fullestDay } from './day-time';
import { type PlannedLine, type ProgrammeFrame } from './planned-line';

export type Cut = {
  readonly line: PlannedLine;
  /** Null: the line goes altogether. */
  readonly dose: Dose | null;
  readonly say: string;
  /** Least seconds saved on the fullest day. */
  readonly saves: Seconds;
  /** Findings that no line would answer any more. */
  readonly loses: readonly string[];
};

/** Doses one notch smaller than this one. */
function smaller(dose: Dose): Dose[] {
  const found: Dose[] = [];
  const { head, times } = dose;
  if (times?.kind === 'per day' && times.times.least > 1) {
    const fewer = times.times.least - 1;
    found.push({ ...dose, times: { kind: 'per day', times: { least: fewer, most: fewer } } });
  }
  if (head.kind === 'sets' && setsOf(head).least > 1 && loadsFit(dose)) {
    const fewer = head.sets.least - 1;
    if ((dose.warmUpSets ?? 0) < fewer)
      found.push({ ...dose, head: { ...head, sets: { least: fewer, most: fewer } } });
  }
  if (head.kind === 'bouts' && head.bouts.least > 1) {
    const fewer = head.bouts.least - 1;
    found.push({ ...dose, head: { ...head, bouts: { least: fewer, most: fewer } } });
  }
  return found;
}

/** A list of one load per set stands or falls with its sets. */
const loadsFit = ({ load }: Dose) => load === undefined || load.perSet.length === 1;

/**
 * The cheapest ways to come within the patient's minutes: first what loses no finding its cover,
 * then what saves most.
 *
 * @param uncovered the findings nothing answers, for a list of lines
 * @returns at most `most` cuts; empty where the day already fits
 */
export function cheapestCuts(
  lines: readonly PlannedLine[],
  frame: ProgrammeFrame,
  waking: WakingHours,
  minutesADay: number,
  uncovered: (lines: readonly PlannedLine[]) => readonly string[],
  most = 5,
): Cut[] {
  const now = fullestDay(lines, frame, waking);
  if (!now || now.setAside.least <= minutesADay * 60) return [];
  const before = new Set(uncovered(lines));
  const cuts = lines.flatMap((line) =>
    [...smaller(line.dose), null].map((dose): Cut => {
      const left =
        dose === null
          ? lines.filter((other) => other !== line)
          : lines.map((other) => (other === line ? { ...line, dose } : other));
      const then = fullestDay(left, frame, waking);
      return {
        line,
        dose,
        say:
          dose === null
            ? `Leave out ${line.exercise.name}`
            : `${line.exercise.name}: ${doseDifference(line.dose, dose).map(sayDoseChange).join(', ')}`,
        saves: seconds(now.setAside.least - (then?.setAside.least ?? 0)),
        loses: uncovered(left).filter((finding) => !before.has(finding)),
      };
    }),
  );
  return cuts
    .filter((cut) => cut.saves > 0)
    .sort((a, b) => a.loses.length - b.loses.length || b.saves - a.saves || order(a, b))
    .slice(0, most);
}

/** Where two save the same, the smaller change stands first. */
const order = (a: Cut, b: Cut) => (a.dose === null ? 1 : 0) - (b.dose === null ? 1 : 0);

/** The text a cut would put on the line. */
export function cutText(cut: Cut): string | null {
  return cut.dose && formatDose(cut.dose);
}
