import { type SchoolChoice } from '../school';
import {
  type BoutMode,
  type DirectionName,
  type Dose,
  type Sides,
  formatDose,
  parseDose,
} from '../dose';
import type { Position, Purpose, WordedExercise } from '../exercise';
import { asMeant } from './old-sides';
import {
  type CountedSet,
  type ProgrammeLine,
  type ProgrammeVersion,
  type lastCounted,
  lastMaxOf,
  withTarget,
} from '../history';
import type { FlagOverride, SetUp } from '../records';
import type { SessionName } from '../schedule';
import {
  type LocalDate,
  localDate,
  keptAnswers,
  type EpisodeId,
  type ExerciseId,
  type MemberId,
  type ProgrammeId,
} from '../units';

/** The exercise as it was worded when its version was sent. */
export type ExerciseSnapshot = {
  readonly name: string;
  readonly position: Position;
  readonly mode: BoutMode;
  readonly steps: readonly string[];
  readonly cues: readonly string[];
  readonly props: readonly { readonly prop: string; readonly orElse: readonly string[] }[];
  /** From here on, versions sent before they were kept lack them. */
  readonly faults?: Readonly<Record<string, string>> | undefined;
  readonly feel?: string | undefined;
  readonly normal?: string | undefined;
  readonly stop?: string | undefined;
  readonly purpose?: Purpose | undefined;
  readonly muscles?: readonly string[] | undefined;
  readonly sides?: Sides | null | undefined;
  readonly directions?: readonly DirectionName[] | undefined;
  /** How a clinic's own exercise was drawn when it was sent. */
  readonly drawing?: string | undefined;
  /** The same words as the patient read them when it was sent; left out where both read one language. */
  readonly told?: ToldExercise | undefined;
};

/** The words of an exercise in the patient's language, kept with the version that was sent. */
export type ToldExercise = {
  /** BCP 47. */
  readonly language: string;
  readonly words: Pick<
    ExerciseSnapshot,
    'name' | 'steps' | 'cues' | 'faults' | 'feel' | 'normal' | 'stop' | 'sides'
  >;
};

/** What a version keeps of an exercise. */
export function snapshotOf(exercise: WordedExercise): ExerciseSnapshot {
  const { name, position, mode, steps, cues, faults, feel, normal, stop, purpose, muscles } =
    exercise;
  const { sides, directions, drawing } = exercise;
  const props = exercise.props.map(({ prop, orElse }) => ({
    prop,
    orElse: orElse.map((other) => other.prop),
  }));
  return {
    name,
    position,
    mode,
    steps,
    cues,
    props,
    faults,
    feel,
    normal,
    stop,
    purpose,
    muscles,
    sides,
    directions,
    ...(drawing ? { drawing } : {}),
  };
}

export type SentLine = ProgrammeLine & {
  readonly exerciseId: ExerciseId;
  readonly exercise: ExerciseSnapshot;
  /** Canonical dose line, in today's grammar. */
  readonly text: string;
  readonly school: SchoolChoice | null;
  readonly session: SessionName | null;
  readonly overrides: readonly FlagOverride[];
  readonly setUp: readonly SetUp[];
  /** The complaint it is for; left out where nobody keeps it, as in programmes of no patient. */
  readonly episodeId?: EpisodeId | null;
  /** What its sets came to when they were last counted; left out before anybody looked. */
  readonly lastCounted?: readonly CountedSet[];
};

export type SentVersion = Omit<ProgrammeVersion, 'lines'> & {
  readonly programmeId: ProgrammeId;
  readonly reason: string;
  readonly authorId: MemberId;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly lines: readonly SentLine[];
};

/** A version and its lines as they are stored. */
export type StoredVersion = {
  readonly version: Omit<SentVersion, 'lines'> & {
    /** Of the grammar its lines are written in. */
    readonly grammar: number;
  };
  readonly lines: readonly {
    readonly lineage: string;
    readonly anchor: LocalDate;
    readonly exerciseId: ExerciseId;
    readonly exercise: ExerciseSnapshot;
    /** Canonical dose line. */
    readonly dose: string;
    readonly school: SchoolChoice | null;
    readonly session: SessionName | null;
    readonly overrides: readonly FlagOverride[];
    readonly setUp: readonly SetUp[];
    readonly episodeId?: EpisodeId | null;
  }[];
};

/** Doses are immutable text, and many patients share the same ones; parsing each once is enough. */
const MOST_PARSED = 5_000;
const parsedLines = keptAnswers<string, ProgrammeLine['target'] & { dose: Dose }>(MOST_PARSED);
const SOME_DAY = localDate('1970-01-01');

function doseAndTarget(
  text: string,
  exercise: ExerciseSnapshot,
  rounds: number,
  meant: (dose: Dose) => Dose,
  spelling: string,
) {
  const key = `${rounds} ${exercise.mode} ${exercise.position} ${spelling} ${text}`;
  return parsedLines(key, () => {
    const parsed = parseDose(text);
    if (!parsed.ok) throw new Error('a stored dose line cannot be read');
    const { position, mode } = exercise;
    const dose = meant(parsed.value);
    const { target } = withTarget({ lineage: '', anchor: SOME_DAY, dose, mode, position }, rounds);
    return { ...target, dose };
  });
}

/**
 * A stored version as the core reckons with it: every dose line parsed, with what one occurrence of
 * it asks.
 *
 * @throws Error when a stored dose line cannot be read, which only another program could have written
 */
export function sentVersion({ version, lines }: StoredVersion): SentVersion {
  const { number, programmeId, effectiveFrom, reviewOn, rounds, grammar } = version;
  const { reason, authorId, createdAt } = version;
  return {
    number,
    programmeId,
    effectiveFrom,
    reviewOn,
    rounds,
    reason,
    authorId,
    createdAt,
    lines: lines.map((line) => {
      const { lineage, anchor, exerciseId, exercise, school, session, overrides, setUp } = line;
      const { episodeId = null } = line;
      const { dose, ...target } = doseAndTarget(
        line.dose,
        exercise,
        rounds,
        (read) => asMeant(read, exerciseId, grammar),
        grammar >= 2 ? '' : exerciseId,
      );
      const { mode, position } = exercise;
      const text = formatDose(dose);
      return {
        lineage,
        anchor,
        exerciseId,
        exercise,
        text,
        school,
        session,
        overrides,
        setUp,
        episodeId,
        dose,
        mode,
        position,
        target,
      };
    }),
  };
}

/** A version whose lines know what their sets last came to: a set until form fails is timed by it. */
export function withLastCounted(
  version: SentVersion,
  newest: ReturnType<typeof lastCounted>,
): SentVersion {
  if (newest.size === 0) return version;
  const lines = version.lines.map((line) => {
    const counted = newest.get(line.lineage);
    if (!counted) return line;
    return { ...line, lastCounted: counted, lastMax: lastMaxOf(line.dose, counted) };
  });
  return { ...version, lines };
}
