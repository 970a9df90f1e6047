import { type LocalDate, shortDay } from '../units';
import { type Course, type Lived, type Stretch, livedIn } from './course';
import { LIGHTS, type SessionLog, isSkip, isUnsettled, lightOf } from './session';

/** What went wrong, the gravest first. */
export const HAPPENINGS = [
  'stopped',
  'red light',
  'second flare',
  'amber, not settled',
  'flare',
  'sore again',
  'left out for pain',
] as const;
export type HappeningKind = (typeof HAPPENINGS)[number];

/** Something that went wrong in a course: a decision is about it, and never about another one. */
export type Happening = {
  readonly kind: HappeningKind;
  /** What happened when: the session or the morning it is known by. */
  readonly event: string;
  readonly date: LocalDate;
  /** How the line stood then. */
  readonly stretch: Stretch;
  /** In words, with its numbers. */
  readonly say: string;
  /** A stop that nobody has let go on. */
  readonly stands: boolean;
};

/** A second flare within so many sessions is more than a bad day. */
export const FLARE_WINDOW = 6;

/**
 * Everything that went wrong in a course, in its order. One session or morning is one happening,
 * known by the gravest that can be said of it.
 *
 * Traffic light: Thomeé 1997 (memory); the rest common practice, no source.
 */
export function happeningsIn(course: Course): readonly Happening[] {
  const known = happened.get(course) ?? foundIn(course);
  happened.set(course, known);
  return known;
}

/** A course is immutable, and gone through with every event of its patient: what went wrong is found once. */
const happened = new WeakMap<Course, readonly Happening[]>();

function foundIn(course: Course): readonly Happening[] {
  // Most courses have none, and need not be gone through.
  if (!course.some(({ sessions }) => sessions.some(isAmiss))) return [];
  const lived = livedIn(course).filter(({ log }) => !isSkip(log));
  const found = new Map<string, Happening>();
  const grade = ({ kind }: Happening) => HAPPENINGS.indexOf(kind);
  const add = (one: Happening) => {
    const known = found.get(one.event);
    if (!known || grade(one) < grade(known)) found.set(one.event, one);
  };
  lived.forEach((here, at) => {
    if (!isAmiss(here.log)) return;
    for (const one of inSession(here)) add(one);
    for (const one of nextMorning(lived, at)) add(one);
    if (here.log.skipped !== 'pain') return;
    const last = lived.slice(Math.max(0, at - 2), at + 1);
    const left = last.filter(({ log }) => log.skipped === 'pain').length;
    if (left >= 2)
      add({
        ...known(here, `session ${here.log.id}`),
        kind: 'left out for pain',
        say: `Left out for pain ${left} times in ${last.length} sessions, last on ${shortDay(here.log.date)}`,
      });
  });
  return [...found.values()].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
}

/** Whether anything can have happened in a session at all. */
export function isAmiss(log: SessionLog): boolean {
  return (
    log.stopped !== 'no' ||
    log.skipped === 'pain' ||
    (log.pain !== null && log.pain > LIGHTS.amber) ||
    isUnsettled(log)
  );
}

const known = ({ stretch, log }: Lived, event: string) => ({
  event,
  date: log.date,
  stretch,
  stands: log.stopped === 'stands',
});

function inSession(here: Lived): Happening[] {
  const { log } = here;
  const isRed = log.pain !== null && lightOf(log.pain) === 'red';
  if (log.stopped === 'no' && !isRed) return [];
  const event = known(here, `session ${log.id}`);
  const found: Happening[] = [];
  if (log.stopped !== 'no')
    found.push({
      ...event,
      kind: 'stopped',
      say: `Stopped on ${shortDay(log.date)} because something felt wrong`,
    });
  if (isRed)
    found.push({
      ...event,
      kind: 'red light',
      say: `Pain ${log.pain} of 10 on ${shortDay(log.date)}, over ${LIGHTS.amber} is too much`,
    });
  return found;
}

/** The last session of an earlier day. */
function dayBefore(lived: readonly Lived[], at: number): Lived | undefined {
  const date = lived[at]?.log.date;
  let before = at - 1;
  while (before >= 0 && lived[before]?.log.date === date) before -= 1;
  return lived[before];
}

/** What the morning after a session told; the sessions of one day share it. */
function nextMorning(lived: readonly Lived[], at: number): Happening[] {
  const here = lived[at];
  if (!here || !isUnsettled(here.log)) return [];
  const { log } = here;
  const isAmber = log.pain !== null && lightOf(log.pain) === 'amber';
  const before = dayBefore(lived, at);
  const isAgain = before !== undefined && isUnsettled(before.log);
  if (log.nextMorning !== 'flare' && !isAmber && !isAgain) return [];
  const event = known(here, `morning after ${log.date}`);
  const found: Happening[] = [];
  if (log.nextMorning === 'flare') {
    const flares = new Set(
      lived
        .slice(Math.max(0, at + 1 - FLARE_WINDOW), at + 1)
        .filter((one) => one.log.nextMorning === 'flare')
        .map((one) => one.log.date),
    );
    found.push(
      flares.size >= 2
        ? {
            ...event,
            kind: 'second flare',
            say: `${flares.size} flares in ${FLARE_WINDOW} sessions, the last the morning after ${shortDay(log.date)}`,
          }
        : { ...event, kind: 'flare', say: `A flare the morning after ${shortDay(log.date)}` },
    );
  }
  if (isAmber)
    found.push({
      ...event,
      kind: 'amber, not settled',
      say: `Pain ${log.pain} of 10 on ${shortDay(log.date)} that had not settled by next morning`,
    });
  if (isAgain)
    found.push({
      ...event,
      kind: 'sore again',
      say: `Still sore the next morning twice running, the last after ${shortDay(log.date)}`,
    });
  return found;
}
