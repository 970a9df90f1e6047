import type { OutcomeLetter } from '../review';
import type { ExerciseSnapshot } from '../programme';
import type {
  FileEntryKind,
  MeasurementDetails,
  PatientDetails,
  StoredEventBody,
  TaughtRecord,
  NoteRecord,
} from '../records';
import type { Instant, Zone } from '../schedule';
import type { ScreeningAnswers, ScreeningOutcome } from '../screen';
import type { Frozen, LocalDate } from '../units';
import type { z } from 'zod';

/** Who wrote, when, in which episode and at which visit. */
export type Written = {
  readonly id: string;
  readonly createdAt: Instant;
  readonly authorId: string;
  readonly episodeId: string | null;
  readonly visitId: string | null;
};

/** A version of a programme, without its lines. */
export type RecordVersion = {
  readonly programmeId: string;
  /** 1, 2, 3 … */
  readonly number: number;
  readonly effectiveFrom: LocalDate;
  readonly reviewOn: LocalDate | null;
  readonly rounds: number;
  readonly authorId: string;
  readonly reason: string;
  readonly createdAt: Instant;
  readonly episodeId: string | null;
  readonly visitId: string | null;
};

/** A line of a version, with its dose as it was written. */
export type RecordLine = {
  readonly programmeId: string;
  readonly number: number;
  readonly place: number;
  readonly lineage: string;
  readonly anchor: LocalDate;
  readonly exerciseId: string;
  readonly exercise: Frozen<ExerciseSnapshot>;
  readonly dose: string;
};

export type RecordMeasurement = Written & {
  readonly kind: string;
  readonly side: 'left' | 'right' | null;
  readonly position: string;
  readonly instrument: string;
  readonly unit: string;
  readonly trials: readonly number[];
  readonly value: number | null;
  /** Null where this one takes another out. */
  readonly details: MeasurementDetails | null;
  readonly localDate: LocalDate;
  readonly supersedes: string | null;
};

export type RecordScreening = Written & {
  readonly byPatient: boolean;
  readonly localDate: LocalDate;
  readonly answers: Frozen<ScreeningAnswers>;
  readonly outcome: ScreeningOutcome;
  readonly confirmedBy: string | null;
};

export type RecordEvent = {
  readonly id: string;
  readonly sessionId: string;
  /** Which session of the day; `DAY_KEY` for what is told of the day itself. */
  readonly sessionKey: string;
  readonly programmeId: string;
  readonly version: number;
  readonly localDate: LocalDate;
  readonly body: StoredEventBody;
  /** The device's clock, milliseconds; with the skew it is the clinic's. */
  readonly deviceAt: number;
  readonly skewMs: number;
  readonly offsetMs: number;
  readonly episodeId: string | null;
  /** Who at the clinic wrote it down as told; null where a device told it. */
  readonly writtenBy: string | null;
};

export type RecordEpisode = {
  readonly id: string;
  readonly complaint: string;
  readonly area: string | null;
  readonly openedOn: LocalDate;
  readonly closedOn: LocalDate | null;
};

/**
 * Everything the clinic keeps of one patient, as far as files made of it read it: the rows as they are
 * stored, in the order they were written. The file of our own holds more (see `src/db/record`).
 */
export type WholeRecord = {
  readonly clinic: { readonly id: string; readonly name: string; readonly zone: Zone };
  /** Who wrote in it, by name. */
  readonly members: readonly { readonly id: string; readonly name: string }[];
  readonly patient: {
    readonly id: string;
    readonly name: string;
    readonly birthDate: LocalDate | null;
    readonly language: string;
    readonly zone: Zone;
    readonly practitionerId: string;
    readonly archivedAt: Instant | null;
  };
  readonly details: PatientDetails;
  readonly episodes: readonly RecordEpisode[];
  readonly visits: readonly {
    readonly id: string;
    readonly episodeId: string;
    readonly localDate: LocalDate;
  }[];
  readonly versions: readonly RecordVersion[];
  readonly lines: readonly RecordLine[];
  readonly screenings: readonly RecordScreening[];
  readonly measurements: readonly RecordMeasurement[];
  readonly entries: readonly (Written & {
    readonly kind: FileEntryKind;
    readonly localDate: LocalDate;
    /** The kind's own body; null where it takes another out. */
    readonly body: unknown;
    readonly supersedes: string | null;
  })[];
  readonly findings: readonly (Written & {
    readonly key: string;
    readonly decision: string;
    readonly say: string;
    readonly localDate: LocalDate;
  })[];
  readonly teachings: readonly (Written & {
    readonly localDate: LocalDate;
    readonly body: Frozen<z.output<typeof TaughtRecord>>;
  })[];
  readonly notes: readonly (Written & {
    readonly localDate: LocalDate;
    readonly body: Frozen<z.output<typeof NoteRecord>>;
  })[];
  readonly letters: readonly (Written & {
    readonly kind: OutcomeLetter['kind'];
    readonly body: Frozen<OutcomeLetter>;
    readonly localDate: LocalDate;
  })[];
  readonly referrals: readonly (Written & {
    readonly to: string;
    readonly text: string;
    readonly localDate: LocalDate;
  })[];
  readonly referralAnswers: readonly (Written & {
    readonly referralId: string;
    readonly answeredOn: LocalDate;
    readonly text: string;
  })[];
  readonly pauses: readonly {
    readonly id: string;
    readonly fromDate: LocalDate;
    readonly toDate: LocalDate | null;
    readonly cause: string;
    readonly reason: string;
  }[];
  readonly events: readonly RecordEvent[];
};
