import { randomUUID } from 'node:crypto';
import type { RepDone, SessionEventBody, Soreness } from '@/core/adherence';
import { holdOf, repsOfSet, setsOf } from '@/core/dose';
import { DAY_KEY } from '@/core/history';
import { type SentLine, type SentVersion, sentVersion } from '@/core/programme';
import type { LineDraft } from '@/core/records';
import { dateIn, instantAt, versionOn } from '@/core/schedule';
import { versionsOf } from '@/db';
import type { PatientHere, SignedIn } from '@/server/access';
import { setClock } from '@/server/clock';
import type { LocalDate } from '@/core/units';
import { takeIn } from '@/server/take-in';
import { ZONE, device, instant, makePatient, minute, prescribe, today } from './clinic';

export const DAY_MS = 86_400_000;
const AN_HOUR_ON = 3_600_000;

/** What is told of a day; a good one where nothing is said. */
export type Told = {
  readonly pain?: number;
  readonly effort?: number;
  /** Told this morning of the day before; no trouble where it is left out. */
  readonly morning?: Soreness | 'untold';
  readonly stopped?: boolean;
  readonly skipped?: 'no time' | 'pain';
};

/** A patient with a programme, who does it day by day on a clock of their own. */
export type Life = {
  readonly patientId: string;
  readonly here: PatientHere & { readonly link: string };
  readonly by: SignedIn;
  readonly start: number;
  /** Days lived so far. */
  days: number;
};

/** A line that grows by its hold. */
export const HELD_LINE: LineDraft = {
  exerciseId: 'tuck-lighten',
  dose: 'x2 hold 3s gap 3s daily',
  school: { id: 'lengthen', settings: { holds: [], tenRepMaximum: null, unit: 'kg' } },
} as never;

/** A patient whose programme began some days ago and who has done nothing of it yet. */
export async function beginLife(
  by: SignedIn,
  lines: readonly Partial<LineDraft>[] = [{}],
  {
    name = 'Test Patient',
    daysAgo = 10,
    reviewOn,
  }: { name?: string; daysAgo?: number; reviewOn?: LocalDate } = {},
): Promise<Life> {
  const real = Date.now();
  // Late in the evening a day's hours would run into the next day: it begins in the morning then.
  const then = real - daysAgo * DAY_MS;
  const morning = instantAt(ZONE, dateIn(ZONE, instant(then)), minute(9 * 60));
  const start = Math.min(then, morning);
  setClock(() => start);
  const patientId = await makePatient(by, name);
  await prescribe(
    by,
    patientId,
    lines.map((line) => ({ ...HELD_LINE, ...line })),
    reviewOn ? { reviewOn } : {},
  );
  const here = await device(by, patientId);
  setClock(() => real);
  return { patientId, here, by, start, days: 0 };
}

/** Everything a line asks, done. */
function repsOf({ dose }: SentLine): RepDone[] {
  const side = dose.side === 'left' || dose.side === 'right' ? dose.side : null;
  return Array.from({ length: setsOf(dose.head).least }, (_, set) =>
    Array.from({ length: repsOfSet(dose.head, set).most }, (__, rep) => ({
      round: 1,
      side,
      direction: 1,
      station: 1,
      set: set + 1,
      rep: rep + 1,
      held: holdOf(dose)?.least ?? 0,
      moved: 0,
    })),
  ).flat();
}

async function tell(
  life: Life,
  version: SentVersion,
  at: number,
  key: string,
  bodies: SessionEventBody[],
) {
  const sessionId = randomUUID();
  setClock(() => at);
  await takeIn(life.here, {
    sentAt: at,
    events: bodies.map((body, n) => ({
      id: randomUUID(),
      sessionId,
      sessionKey: key,
      programmeId: version.programmeId,
      version: version.number,
      deviceAt: at,
      offsetMs: n * 1000,
      body,
    })),
  });
}

/**
 * Lives on by so many days, each session as the version of that day asks, each with the morning after
 * it; the clock stands as it did when it is over.
 */
export async function liveOn(life: Life, days: readonly Told[], last: Told['morning'] = 'none') {
  const real = Date.now();
  const rows = (await versionsOf(life.by.clinicId, [life.patientId])).get(life.patientId) ?? [];
  const versions = rows.map(sentVersion);
  const onThatDay = () => {
    const version = versionOn(versions, today());
    if (!version) throw new Error('nothing was prescribed that day');
    return version;
  };
  const morning = async (soreness: Told['morning'] = 'none') => {
    if (soreness === 'untold') return;
    const at = life.start + life.days * DAY_MS + AN_HOUR_ON;
    setClock(() => at);
    await tell(life, onThatDay(), at, DAY_KEY, [{ type: 'morning', date: today(), soreness }]);
  };
  for (const told of days) {
    await morning(told.morning);
    const at = life.start + life.days * DAY_MS + AN_HOUR_ON;
    setClock(() => at);
    const version = onThatDay();
    await tell(life, version, at, 'session-1', [
      { type: 'started' },
      ...version.lines.map((line): SessionEventBody => ({
        type: 'line',
        lineage: line.lineage,
        reps: told.skipped ? [] : repsOf(line),
        skipped: told.skipped ?? null,
      })),
      told.stopped ? { type: 'stopped', because: 'symptom' } : { type: 'ended' },
      { type: 'check-in', pain: told.pain ?? 1, effort: told.effort ?? 4, word: '' },
    ]);
    life.days += 1;
  }
  await morning(last);
  setClock(() => real);
}
