import { type Course, type SessionLog, type Stretch, type WrittenBy, asksTheSame } from '../course';
import type { SentLine, SentVersion } from '../programme';
import type { Exercise } from '../exercise';
import type { Decided, FollowRecord } from './record';
import { type SessionsOf, areSameLogs, sessionsOf } from './sessions-of';

type ById = (id: string) => Exercise | null;

/** A line as one version had it. */
type Had = { readonly version: SentVersion; readonly line: SentLine };

/** What a course is read from. */
export type CourseRecord = Pick<FollowRecord, 'facts' | 'reports' | 'decisions' | 'episodeFrom'>;

/** A line's course, and what it was called on the way. */
export type LineCourse = {
  readonly course: Course;
  /** Its own lineage, and those of the lines whose place it took. */
  readonly lineages: ReadonlySet<string>;
};

/**
 * The whole course of a line in this episode: every dose it had, back through versions that wrote
 * another one, and through steps of its stairs whose line took the place of another. A session belongs
 * to the dose of the version it was played from, also where it is told late. A stop for a symptom
 * stands until somebody lets the programme go on.
 *
 * @param line of the newest version
 * @param sessions the record's own, where several lines are read
 */
export function courseOf(
  record: CourseRecord,
  line: SentLine,
  byId: ById,
  sessions: SessionsOf = sessionsOf(record),
): LineCourse {
  const chain = chainOf(record, line, byId);
  const stretches: (Omit<Stretch, 'sessions'> & { readonly had: Had[] })[] = [];
  chain.forEach((had, at) => {
    const last = stretches.at(-1);
    if (last && last.exercise.id === had.line.exerciseId && asksTheSame(last.dose, had.line.dose)) {
      last.had.push(had);
      // The newest text counts: it may end on another day.
      stretches[stretches.length - 1] = {
        ...last,
        dose: had.line.dose,
        school: had.line.school?.id ?? null,
      };
      return;
    }
    stretches.push({
      exercise: exerciseOf(had.line, byId),
      dose: had.line.dose,
      school: had.line.school?.id ?? null,
      from: had.version.effectiveFrom,
      by: writtenBy(record.decisions, chain[at - 1] ?? null, had),
      had: [had],
    });
  });
  const course = stretches.map(({ had, ...stretch }): Stretch => ({
    ...stretch,
    sessions: sessionsUnder(had, sessions),
  }));
  const [first, ...rest] = course;
  if (!first) throw new Error('a line of no version has no course');
  return asBefore(line, {
    course: [first, ...rest],
    lineages: new Set(chain.map(({ line: { lineage } }) => lineage)),
  });
}

/** The course of each line as it was found last. */
const found = new WeakMap<SentLine, LineCourse>();

/**
 * The very course of before where this one is no other: most events are of one line, and what was found of
 * the courses of all others holds on.
 */
function asBefore(line: SentLine, now: LineCourse): LineCourse {
  const before = found.get(line);
  if (before && isSameCourse(before.course, now.course)) return { ...now, course: before.course };
  found.set(line, now);
  return now;
}

function isSameCourse(a: Course, b: Course): boolean {
  return (
    a.length === b.length &&
    a.every((one, at) => {
      const other = b[at];
      return (
        one.exercise === other?.exercise &&
        one.dose === other.dose &&
        one.school === other.school &&
        one.from === other.from &&
        one.by === other.by &&
        areSameLogs(one.sessions, other.sessions)
      );
    })
  );
}

/** The sessions of a dose that some versions had; mostly one, whose list is as it is asked for. */
function sessionsUnder(had: readonly Had[], sessions: SessionsOf): readonly SessionLog[] {
  const lists = had.map(({ version, line: { lineage } }) => sessions(version.number, lineage));
  return lists.length === 1 && lists[0] ? lists[0] : lists.flat();
}

function exerciseOf({ exerciseId, exercise }: SentLine, byId: ById): Stretch['exercise'] {
  return byId(exerciseId) ?? { id: exerciseId, name: exercise.name, ladder: null, rung: 0 };
}

/**
 * The line through the versions of its episode, oldest first; it may have been left out between. A line
 * for another complaint has a course of its own.
 */
function chainOf({ facts, episodeFrom }: CourseRecord, line: SentLine, byId: ById): Had[] {
  const versions = facts.versions.filter(
    ({ effectiveFrom }) => episodeFrom === null || effectiveFrom >= episodeFrom,
  );
  const chain: Had[] = [];
  const since = new Set<string>();
  let now = line;
  for (const version of [...versions].reverse()) {
    const same = version.lines.find(({ lineage }) => lineage === now.lineage);
    const found = same ?? (chain.length > 0 ? cameBefore(now, since, version, byId) : null);
    for (const { lineage } of version.lines) since.add(lineage);
    if (!found) continue;
    now = found;
    chain.unshift({ version, line: found });
  }
  return chain.length > 0 ? chain : [{ version: facts.versions.at(-1) as SentVersion, line }];
}

/**
 * The line of an earlier version whose place a later one took: the same exercise or one of the same
 * stairs, and gone since.
 *
 * @param since lineages of all later versions
 */
function cameBefore(
  line: SentLine,
  since: ReadonlySet<string>,
  earlier: SentVersion,
  byId: ById,
): SentLine | null {
  const { ladder = null, rung = 0 } = byId(line.exerciseId) ?? {};
  const isOfTheStairs = ({ exerciseId, episodeId }: SentLine) =>
    episodeId === line.episodeId &&
    (exerciseId === line.exerciseId || (ladder !== null && byId(exerciseId)?.ladder === ladder));
  const away = (other: SentLine) => Math.abs((byId(other.exerciseId)?.rung ?? 0) - rung);
  const gone = earlier.lines.filter((other) => !since.has(other.lineage) && isOfTheStairs(other));
  return gone.reduce<SentLine | null>(
    (nearest, other) => (nearest === null || away(other) < away(nearest) ? other : nearest),
    null,
  );
}

/** A dose that stands as it was proposed and accepted is a proposal's; all else a clinician's word. */
function writtenBy(decisions: readonly Decided[], before: Had | null, { line }: Had): WrittenBy {
  if (!before) return 'a clinician';
  const accepted = decisions.find(
    ({ lineage, version }) => lineage === before.line.lineage && version === before.version.number,
  );
  return accepted?.decision === 'accepted' &&
    accepted.toDose === line.text &&
    (accepted.toExerciseId ?? before.line.exerciseId) === line.exerciseId
    ? 'a proposal'
    : 'a clinician';
}
