'use client';

import { createContext, useContext } from 'react';
import type { Catalogue } from '@/catalogue';
import type { Exercise } from '@/core/exercise';
import type { BandCurve } from '@/core/load';
import type { HomeBody } from '@/core/records';
import type { PrecautionId } from '@/core/screen';
import type { WakingHours, Zone } from '@/core/schedule';
import type { SetUpFacts } from '@/core/set-up';
import type { EpisodeId, ExerciseId, PatientId } from '@/core/units';

/** What is measured of a push, newtons. */
export type MeasuredMaximum = {
  readonly kind: string;
  readonly side: 'left' | 'right' | null;
  readonly newtons: number;
};

/** A complaint that is treated now. */
export type OpenComplaint = { readonly id: EpisodeId; readonly complaint: string };

/** What the desk knows of patient and clinic while it is open; it does not change by typing. */
export type DeskFacts = {
  readonly patientId: PatientId;
  /** The patient's open complaints, the one at hand first. */
  readonly episodes: readonly OpenComplaint[];
  readonly catalogue: Catalogue;
  readonly precautions: readonly PrecautionId[];
  readonly waking: WakingHours;
  readonly zone: Zone;
  readonly home: HomeBody | null;
  readonly maxima: readonly MeasuredMaximum[];
  readonly bands: readonly BandCurve[];
  /** What of a set-up was measured. */
  readonly setUp: SetUpFacts;
  /** Good days in a row before a line grows, as the clinic has it. */
  readonly goodSessions: number;
  /** Least days on a step of the stairs, as the clinic has it. */
  readonly leastRungDays: number;
};

const Facts = createContext<DeskFacts | null>(null);
export const DeskFactsProvider = Facts.Provider;

export function useDeskFacts(): DeskFacts {
  const facts = useContext(Facts);
  if (!facts) throw new Error('the desk stands outside its facts');
  return facts;
}

export function nameOf(catalogue: Catalogue, exerciseId: ExerciseId): string {
  return catalogue.byId(exerciseId)?.name ?? exerciseId;
}

export type PickExercise = (exercise: Exercise) => void;
