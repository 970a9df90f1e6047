import {
  type DayDone,
  type HistoryFacts,
  type Pause,
  type ProgrammeLine,
  type ProgrammeVersion,
  withTarget,
} from '@/core/history';
import { type BoutMode, type Dose, parseDose } from '@/core/dose';
import type { Exercise, Position } from '@/core/exercise';
import type { FlagOverride } from '@/core/records';
import type { SchoolChoice } from '@/core/progression';
import {
  type SessionName,
  type WallMinute,
  type WakingHours,
  type Zone,
  dateIn,
} from '@/core/schedule';
import type { LocalDate } from '@/core/units';
import {
  type DayDoneRow,
  type Patient,
  type VersionWithLines,
  daysDone,
  pausesOf,
  versionsOf,
} from '@/db';
import { now } from './clock';

/** The exercise as it was worded when its version was sent. */
export type ExerciseSnapshot = {
  readonly name: string;
  readonly position: Position;
  readonly mode: BoutMode;
  readonly steps: readonly string[];
  readonly cues: readonly string[];
  readonly props: readonly { readonly prop: string; readonly orElse: readonly string[] }[];
  /** From here on, versions sent before they were kept lack them. */
  readonly faults?: Readonly<Record<string, string>>;
  readonly feel?: string;
  readonly normal?: string;
  readonly stop?: string;
  readonly purpose?: string;
  readonly muscles?: readonly string[];
};

export type SentLine = ProgrammeLine & {
  readonly exerciseId: string;
  readonly exercise: ExerciseSnapshot;
  /** Canonical dose line. */
  readonly text: string;
  readonly school: SchoolChoice | null;
  readonly session: SessionName | null;
  readonly overrides: readonly FlagOverride[];
};

export type SentVersion = Omit<ProgrammeVersion, 'lines'> & {
  readonly programmeId: string;
  readonly reason: string;
  readonly authorId: string;
  readonly createdAt: number;
  readonly lines: readonly SentLine[];
};

/** What a version keeps of an exercise. */
export function snapshotOf(exercise: Exercise): ExerciseSnapshot {
  const { name, position, mode, steps, cues, faults, feel, normal, stop, purpose, muscles } =
    exercise;
  const props = exercise.props.map(({ prop, orElse }) => ({
    prop,
    orElse: orElse.map((other) => other.prop),
  }));
  return { name, position, mode, steps, cues, props, faults, feel, normal, stop, purpose, muscles };
}

/** Doses are immutable text, and many patients share the same ones; parsing each once is enough. */
const parsedLines = new Map<string, ProgrammeLine['target'] & { dose: Dose }>();
const MOST_PARSED = 5_000;

function doseAndTarget(text: string, exercise: ExerciseSnapshot, rounds: number) {
  const key = `${rounds} ${exercise.mode} ${text}`;
  const known = parsedLines.get(key);
  if (known) return known;
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Error('a stored dose line cannot be read');
  const { position, mode } = exercise;
  const line = withTarget(
    { lineage: '', anchor: '1970-01-01' as LocalDate, dose: parsed.value, mode, position },
    rounds,
  );
  const made = { ...line.target, dose: parsed.value };
  if (parsedLines.size >= MOST_PARSED) parsedLines.clear();
  parsedLines.set(key, made);
  return made;
}

/** Snapshots are immutable text too. */
const snapshots = new Map<string, ExerciseSnapshot>();

function snapshotIn(text: string): ExerciseSnapshot {
  const known = snapshots.get(text);
  if (known) return known;
  const made = JSON.parse(text) as ExerciseSnapshot;
  if (snapshots.size >= MOST_PARSED) snapshots.clear();
  snapshots.set(text, made);
  return made;
}

/** A stored version as the core reckons with it. */
export function sentVersion({ version, lines }: VersionWithLines): SentVersion {
  return {
    number: version.number,
    programmeId: version.programmeId,
    effectiveFrom: version.effectiveFrom as LocalDate,
    reviewOn: version.reviewOn as LocalDate | null,
    rounds: version.rounds,
    reason: version.reason,
    authorId: version.authorId,
    createdAt: version.createdAt,
    lines: lines.map((line) => {
      const exercise = snapshotIn(line.exercise);
      const { dose, ...target } = doseAndTarget(line.dose, exercise, version.rounds);
      return {
        lineage: line.lineage,
        anchor: line.anchor as LocalDate,
        exerciseId: line.exerciseId,
        exercise,
        text: line.dose,
        school: line.school === null ? null : (JSON.parse(line.school) as SchoolChoice),
        session: line.session,
        overrides: JSON.parse(line.overrides) as FlagOverride[],
        dose,
        mode: exercise.mode,
        position: exercise.position,
        target,
      };
    }),
  };
}

export function wakingOf(patient: Patient): WakingHours {
  return { wake: patient.wakeMinute as WallMinute, sleep: patient.sleepMinute as WallMinute };
}

export function zoneOf(patient: Patient): Zone {
  return patient.zone as Zone;
}

/** Today where the patient is. */
export function todayOf(patient: Patient): LocalDate {
  return dateIn(zoneOf(patient), now());
}

export function readDayDone(row: DayDoneRow): DayDone {
  return JSON.parse(row.done) as DayDone;
}

export type PatientFacts = Omit<HistoryFacts, 'versions'> & {
  readonly patient: Patient;
  readonly versions: readonly SentVersion[];
  readonly doneRows: readonly DayDoneRow[];
};

/** Everything adherence needs of these patients, in four queries whatever their number. */
export async function factsOf(
  clinicId: string,
  patients: readonly Patient[],
  from: LocalDate,
  to: LocalDate,
): Promise<PatientFacts[]> {
  if (patients.length === 0) return [];
  const ids = patients.map((patient) => patient.id);
  const [versions, pauses, rows] = await Promise.all([
    versionsOf(clinicId, ids),
    pausesOf(clinicId, ids),
    daysDone(clinicId, ids, from, to),
  ]);
  const pausesBy = groupBy(pauses, (pause) => pause.patientId);
  const rowsBy = groupBy(rows, (row) => row.patientId);
  return patients.map((patient) => {
    const doneRows = rowsBy.get(patient.id) ?? [];
    return {
      patient,
      zone: zoneOf(patient),
      waking: wakingOf(patient),
      today: todayOf(patient),
      versions: (versions.get(patient.id) ?? []).map(sentVersion),
      pauses: (pausesBy.get(patient.id) ?? []).map((pause): Pause => ({
        from: pause.fromDate as LocalDate,
        to: pause.toDate as LocalDate | null,
      })),
      done: new Map(doneRows.map((row) => [row.localDate as LocalDate, readDayDone(row)])),
      doneRows,
    };
  });
}

function groupBy<T>(rows: readonly T[], key: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const group = groups.get(key(row));
    if (group) group.push(row);
    else groups.set(key(row), [row]);
  }
  return groups;
}
