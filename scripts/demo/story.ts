import type { EpisodeArea } from '@/core/measures';
import type { SchoolId } from '@/core/exercise';
import type { HomeBody } from '@/core/records';
import type { BodyPart } from '@/core/symptoms';
import type { SessionName } from '@/core/schedule';

/** A day of a story, from 0 at the first day of the programme to 69, today. */
export type StoryDay = {
  /** How likely each session is begun, 0–1. */
  readonly begins: number;
  /** Share of a begun session that is done. */
  readonly does: number;
  /** Pain after it, 0–10, before a little noise. */
  readonly pain: number;
  /** How likely a session is done once more than due. */
  readonly again?: number;
};

export type LineMore = {
  readonly school?: SchoolId;
  readonly session?: SessionName;
  /** What was measured for it goes home with it. */
  readonly setUp?: true;
  /** Why a flagged line goes ahead. */
  readonly why?: string;
};

export type StoryVersion = {
  readonly onDay: number;
  readonly reason: string;
  readonly rounds?: number;
  /** Exercise and dose. An exercise that was there before continues its line. */
  readonly lines: readonly (readonly [exerciseId: string, dose: string, more?: LineMore])[];
};

/** Another complaint that comes while the first one is still treated; its lines stand in a version of that day. */
export type SecondComplaint = {
  readonly onDay: number;
  readonly complaint: string;
  readonly area: EpisodeArea;
  /** Its worst pain of a day, 0–10, before a little noise. */
  readonly pain: (day: number) => number;
};

export type Story = {
  readonly name: string;
  readonly complaint: string;
  readonly area: EpisodeArea;
  /** What they read where it is not English, BCP 47. */
  readonly language?: string;
  readonly minutesADay: number;
  readonly wake: number;
  readonly sleep: number;
  /** Null for somebody who never opened the link. */
  readonly day: ((day: number) => StoryDay) | null;
  /** How far down the arm it is felt, where that is told every day; else it draws in. */
  readonly reach?: (day: number) => BodyPart;
  /** Days on which a session is stopped because something feels wrong. */
  readonly stops: readonly number[];
  /** Days on which the clinician lets a paused programme go on, and acknowledges its alert. */
  readonly resumes: readonly number[];
  readonly words: readonly string[];
  /** What the clinician says to the first proposal there is from a day on: takes it, or why not. */
  readonly decides?: readonly { readonly fromDay: number; readonly decline?: string }[];
  /** When they come next, so many days from the last day, at a minute of the day. */
  readonly next?: { readonly inDays: number; readonly minute: number };
  /** The reminder of the patient's own that the first teaching led to. */
  readonly cue?: string;
  /** What there is at home, and what fills the day; left out where nobody has asked. */
  readonly home?: HomeBody;
  readonly versions: readonly StoryVersion[];
  readonly second?: SecondComplaint;
};
