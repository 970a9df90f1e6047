import type { DayAdherence } from '../adherence';
import type { LatestMeasure } from '../findings';
import type { Strip } from '../follow';
import { type DayReport, worstPain } from '../history';
import { kindOf } from '../measures';
import type { LocalDate } from '../units';
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
  const told = [...reports].filter(([date]) => date >= from).sort(([a], [b]) => (a < b ? -1 : 1));
  const done = [...facts.done]
    .filter(([date]) => date >= from)
    .sort(([a], [b]) => (a < b ? -1 : 1));
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
function lineStrips(
  facts: RecordFacts,
  done: readonly (readonly [
    LocalDate,
    typeof facts.done extends ReadonlyMap<unknown, infer D> ? D : never,
  ])[],
): Strip[] {
  const lines = facts.versions.at(-1)?.lines ?? [];
  return lines
    .map((line): Strip & { kind: 'line' } => {
      const logs = done.flatMap(([date, { sessions }]) =>
        sessions.flatMap((session) =>
          session.lines
            .filter(({ lineage, reps }) => lineage === line.lineage && reps > 0)
            .map(({ hold, reps }) => ({
              date,
              load: loadIn(facts, session.version, line.lineage),
              hold,
              reps,
            })),
        ),
      );
      const loaded = logs.some(({ load }) => load !== null);
      const held = logs.some(({ hold }) => hold !== null);
      const byDay = new Map<LocalDate, number>();
      for (const { date, load, hold, reps } of logs) {
        const value = loaded ? load : held ? hold : reps;
        byDay.set(date, Math.max(byDay.get(date) ?? 0, value ?? 0));
      }
      const { load } = line.dose;
      return {
        kind: 'line',
        id: `line-${line.lineage}`,
        name: line.exercise.name,
        unit: loaded
          ? load?.kind === 'weight'
            ? load.unit
            : 'kg'
          : held
            ? 's held'
            : 'repetitions',
        points: [...byDay].map(([date, value]) => ({ date, value })),
      };
    })
    .filter(({ points }) => points.length > 0)
    .sort((a, b) => b.points.length - a.points.length)
    .slice(0, MOST_LINES);
}

/** The heaviest written weight of a line in the version a session was played from. */
function loadIn({ versions }: RecordFacts, number: number, lineage: string): number | null {
  const load = versions
    .find((version) => version.number === number)
    ?.lines.find((line) => line.lineage === lineage)?.dose.load;
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
