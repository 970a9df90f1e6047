import type { DayAdherence } from '../adherence';
import type { LatestMeasure } from '../findings';
import type { Strip } from '../follow';
import { type CountedSet, type DayDone, type DayReport, worstPain } from '../history';
import { kindOf } from '../measures';
import type { SentLine } from '../programme';
import { type LocalDate, textOrder } from '../units';
import { limbSeries } from './limbs';
import type { FollowRecord, RecordFacts } from './record';

/** A measurement as a strip shows it, with its day. */
export type DatedMeasure = Pick<LatestMeasure, 'kind' | 'side' | 'value'> & {
  readonly on: LocalDate;
};

/** Exercises with a strip of their own to choose; the board shows the first few. */
const MOST_LINES = 12;

/** Everything that happened over time, as strips; those that would be empty are left out. */
export function stripsOf(
  record: Pick<FollowRecord, 'facts' | 'reports'>,
  days: readonly DayAdherence[],
  measures: readonly DatedMeasure[],
  from: LocalDate,
): Strip[] {
  const { facts, reports } = record;
  const told = [...reports].filter(([date]) => date >= from).sort(([a], [b]) => textOrder(a, b));
  const done = [...facts.done].filter(([date]) => date >= from).sort(([a], [b]) => textOrder(a, b));
  const strips: Strip[] = [
    { kind: 'dose', id: 'dose', name: 'Dose done', days },
    {
      kind: 'times',
      id: 'times',
      name: 'Sessions',
      points: done.flatMap(([date, { sessions }]) =>
        sessions.map(({ minute, share }) => ({ date, minute, share })),
      ),
    },
    {
      kind: 'skips',
      id: 'skips',
      name: 'Left out',
      points: done.flatMap(([date, { sessions }]) => {
        const by: Partial<Record<string, number>> = {};
        for (const { lines } of sessions)
          for (const { skipped } of lines) if (skipped) by[skipped] = (by[skipped] ?? 0) + 1;
        return Object.keys(by).length > 0 ? [{ date, by }] : [];
      }),
    },
    { kind: 'band', id: 'pain', name: 'Pain', most: 10, points: painsOf(told) },
    ...limbSeries(new Map(told)).map(({ limb, readings }): Strip => ({
      kind: 'reach',
      id: `reach-${limb.side}-${limb.chain}`,
      name: `Down the ${limb.side} ${limb.chain}`,
      chain: limb.chain,
      points: readings,
    })),
    {
      kind: 'yes-no',
      id: 'headache',
      name: 'Headache',
      points: told.flatMap(([date, { headache }]) =>
        headache === null ? [] : [{ date, value: headache }],
      ),
    },
    {
      kind: 'soreness',
      id: 'soreness',
      name: 'Next morning',
      points: told.flatMap(([date, { soreness }]) =>
        soreness === null ? [] : [{ date, value: soreness }],
      ),
    },
    ...lineStrips(facts, done),
    ...measureStrips(measures, from),
    {
      kind: 'notes',
      id: 'notes',
      name: 'Words',
      points: told.flatMap(([date, { notes }]) => notes.map((say) => ({ date, say }))),
    },
  ];
  return strips.filter(
    (strip) => strip.kind === 'dose' || strip.id === 'times' || strip.points.length > 0,
  );
}

function painsOf(told: readonly (readonly [LocalDate, DayReport])[]) {
  return told.flatMap(([date, report]) => {
    const high = worstPain(report);
    const { recalled, pains } = report;
    return high === null ? [] : [{ date, low: Math.min(high, ...pains), high, recalled }];
  });
}

/** Held seconds, or repetitions, of the newest version's lines that were done most often. */
function lineStrips(facts: RecordFacts, done: readonly (readonly [LocalDate, DayDone])[]): Strip[] {
  const lines = facts.versions.at(-1)?.lines ?? [];
  const logsBy = logsOf(facts, new Set(lines.map(({ lineage }) => lineage)), done);
  return lines
    .flatMap((line): LineStrip[] => {
      const logs = logsBy.get(line.lineage) ?? [];
      const told = [liftedStrip(line, logs), countedStrip(line, logs)].filter(
        ({ points }) => points.length > 0,
      );
      return told.length > 0 ? told : [writtenStrip(line, logs)];
    })
    .filter(({ points }) => points.length > 0)
    .sort((a, b) => b.points.length - a.points.length)
    .slice(0, MOST_LINES);
}

/** What was done of each of these lines, in the order of the days: the days are gone through once. */
function logsOf(
  facts: RecordFacts,
  lineages: ReadonlySet<string>,
  done: readonly (readonly [LocalDate, DayDone])[],
): ReadonlyMap<string, readonly LineDay[]> {
  const logs = new Map<string, LineDay[]>();
  const loadOf = loadsIn(facts);
  for (const [date, { sessions }] of done)
    for (const { version, lines } of sessions)
      for (const { lineage, hold, reps, counted = [] } of lines) {
        if (reps === 0 || !lineages.has(lineage)) continue;
        const own = logs.get(lineage) ?? [];
        if (own.length === 0) logs.set(lineage, own);
        own.push({ date, counted, load: loadOf(version, lineage), hold, reps });
      }
  return logs;
}

type LineStrip = Strip & { readonly kind: 'line' };

/** One session of a line, as its strips read it. */
type LineDay = {
  readonly date: LocalDate;
  readonly counted: readonly CountedSet[];
  readonly load: number | null;
  readonly hold: number | null;
  readonly reps: number;
};

/** The day's greatest, so that a second session of a day is no step down. */
function byDay(points: readonly { readonly date: LocalDate; readonly value: number }[]) {
  const days = new Map<LocalDate, { date: LocalDate; value: number; say?: string }>();
  for (const point of points)
    if (point.value > (days.get(point.date)?.value ?? -Infinity)) days.set(point.date, point);
  return [...days.values()];
}

/** What the patient said they lifted: the heaviest set of each day. */
function liftedStrip(line: SentLine, logs: readonly LineDay[]): LineStrip {
  const loads = logs.flatMap(({ date, counted }) =>
    counted.flatMap(({ load }) => (load ? [{ date, ...load }] : [])),
  );
  const unit = loads.at(-1)?.unit ?? 'kg';
  return {
    kind: 'line',
    id: `lifted-${line.lineage}`,
    name: `${line.exercise.name}, lifted`,
    unit: `${unit} lifted`,
    points: byDay(
      loads
        .filter((load) => load.unit === unit)
        .map(({ date, amount }) => ({ date, value: amount })),
    ),
  };
}

/** How many the patient counted: all sets together, and set by set in words. */
function countedStrip(line: SentLine, logs: readonly LineDay[]): LineStrip {
  return {
    kind: 'line',
    id: `counted-${line.lineage}`,
    name: `${line.exercise.name}, counted`,
    unit: 'repetitions counted',
    points: byDay(
      logs.flatMap(({ date, counted }) => {
        const reps = counted.flatMap((set) => set.reps ?? []);
        if (reps.length === 0) return [];
        const value = reps.reduce((sum, one) => sum + one, 0);
        return [{ date, value, say: `${reps.join(' + ')} repetitions` }];
      }),
    ),
  };
}

/** What nobody counted: the written weight, the seconds held, or the repetitions played. */
function writtenStrip(line: SentLine, logs: readonly LineDay[]): LineStrip {
  const loaded = logs.some(({ load }) => load !== null);
  const held = logs.some(({ hold }) => hold !== null);
  const { load } = line.dose;
  const loadUnit = load?.kind === 'weight' ? load.unit : 'kg';
  return {
    kind: 'line',
    id: `line-${line.lineage}`,
    name: loaded ? `${line.exercise.name}, as written` : line.exercise.name,
    unit: loaded ? loadUnit : held ? 's held' : 'repetitions',
    points: byDay(
      logs.map((log) => ({
        date: log.date,
        value: (loaded ? log.load : held ? log.hold : log.reps) ?? 0,
      })),
    ),
  };
}

/** The heaviest written weight of a line in the version a session was played from; null where none is. */
function loadsIn({ versions }: RecordFacts): (number: number, lineage: string) => number | null {
  const loads = new Map(
    versions.map(({ number, lines }) => [
      number,
      new Map(lines.map(({ lineage, dose: { load } }) => [lineage, heaviest(load)])),
    ]),
  );
  return (number, lineage) => loads.get(number)?.get(lineage) ?? null;
}

function heaviest(load: SentLine['dose']['load']): number | null {
  if (load?.kind !== 'weight') return null;
  return Math.max(...load.perSet.map((one) => (one === 'adj' ? 0 : one)));
}

/** Every measure that was taken more than once within the time shown. */
function measureStrips(measures: readonly DatedMeasure[], from: LocalDate): Strip[] {
  const series = new Map<string, Strip & { kind: 'line' }>();
  for (const { kind, side, value, on } of [...measures].reverse()) {
    if (value === null || on < from) continue;
    const id = `measure-${kind}-${side ?? ''}`;
    const known = series.get(id);
    series.set(id, {
      kind: 'line',
      id,
      name: side ? `${kindOf(kind).name}, ${side}` : kindOf(kind).name,
      unit: kindOf(kind).unit,
      points: [...(known?.points ?? []), { date: on, value }],
    });
  }
  return [...series.values()].filter(({ points }) => points.length > 1);
}
