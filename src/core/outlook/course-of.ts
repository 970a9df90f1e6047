import { type Course, type SessionLog, type Stretch, type WrittenBy, asksTheSame } from '../course';
import type { SentLine, SentVersion } from '../programme';
import type { Exercise } from '../exercise';
import type { LocalDate } from '../units';
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
  const before = found.get(line);
  const way = before && isOf(before.way, record, byId) ? before.way : wayOf(record, line, byId);
  const lists = way.doses.map(({ had }) =>
    had.map(({ version, line: { lineage } }) => sessions(version.number, lineage)),
  );
  if (before?.way === way && areSameLists(before.lists, lists)) return before.course;
  const [first, ...rest] = way.doses.map(({ had: _, ...dose }, at): Stretch => ({
    ...dose,
    sessions: joined(lists[at] ?? []),
  }));
  if (!first) throw new Error('a line of no version has no course');
  const now: LineCourse = { course: [first, ...rest], lineages: way.lineages };
  const course =
    before && isSameCourse(before.course.course, now.course)
      ? { ...now, course: before.course.course }
      : now;
  found.set(line, { way, lists, course });
  return course;
}

/** A dose that a line had, and the versions that asked it. */
type DoseHad = Omit<Stretch, 'sessions'> & { readonly had: readonly Had[] };

/** What a line's course is without its sessions, with what that was found of. */
type Way = {
  readonly doses: readonly DoseHad[];
  readonly lineages: ReadonlySet<string>;
  readonly versions: readonly SentVersion[];
  readonly decisions: readonly Decided[];
  readonly episodeFrom: LocalDate | null;
  readonly byId: ById;
};

/** No event of a patient's changes it: a version or a decision does. */
const isOf = (way: Way, { facts, decisions, episodeFrom }: CourseRecord, byId: ById): boolean =>
  way.versions === facts.versions &&
  way.decisions === decisions &&
  way.episodeFrom === episodeFrom &&
  way.byId === byId;

function wayOf(record: CourseRecord, line: SentLine, byId: ById): Way {
  const chain = chainOf(record, line, byId);
  const doses: (Omit<DoseHad, 'had'> & { readonly had: Had[] })[] = [];
  chain.forEach((had, at) => {
    const last = doses.at(-1);
    if (last && last.exercise.id === had.line.exerciseId && asksTheSame(last.dose, had.line.dose)) {
      last.had.push(had);
      // The newest text counts: it may end on another day.
      doses[doses.length - 1] = {
        ...last,
        dose: had.line.dose,
        school: had.line.school?.id ?? null,
      };
      return;
    }
    doses.push({
      exercise: exerciseOf(had.line, byId),
      dose: had.line.dose,
      school: had.line.school?.id ?? null,
      from: had.version.effectiveFrom,
      by: writtenBy(record.decisions, chain[at - 1] ?? null, had),
      had: [had],
    });
  });
  const { facts, decisions, episodeFrom } = record;
  const lineages = new Set(chain.map(({ line: { lineage } }) => lineage));
  return { doses, lineages, versions: facts.versions, decisions, episodeFrom, byId };
}

/** The lists of sessions of each dose, one for each version that asked it. */
type Lists = readonly (readonly (readonly SessionLog[])[])[];

/** The course of each line as it was found last. */
const found = new WeakMap<
  SentLine,
  { readonly way: Way; readonly lists: Lists; readonly course: LineCourse }
>();

/** The very same lists; as many, since they are of the same way. */
const areSameLists = (a: Lists, b: Lists): boolean =>
  a.every((one, at) => one.every((list, nth) => list === b[at]?.[nth]));

/** The very course of before where a new one is no other: what was found of it holds on. */
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

/** The sessions of a dose that some versions asked; mostly one, whose list is as it is. */
const joined = (lists: readonly (readonly SessionLog[])[]): readonly SessionLog[] =>
  lists.length === 1 && lists[0] ? lists[0] : lists.flat();

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
