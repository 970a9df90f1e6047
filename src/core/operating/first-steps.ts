import { DAY_MS } from '../units';
import type { Instant } from '../schedule';

/** What a new clinic has done of what it needs. */
export type FirstStepsFacts = {
  readonly createdAt: Instant;
  readonly now: Instant;
  /** Members who can sign in. */
  readonly members: number;
  readonly patients: number;
  readonly hasBackup: boolean;
  /** Whether patients can reach it at an address of its own. */
  readonly hasAddress: boolean;
};

export const FIRST_STEPS = ['patient', 'members', 'backup', 'address'] as const;
export type FirstStep = (typeof FIRST_STEPS)[number];

/** After so many days nobody is asked any more: a clinic of one person has done what it wants. */
const ASKED_DAYS = 30;

/**
 * What is still to do in a new clinic, in the order of its worth; nothing where all is done, or it is no
 * longer new.
 */
export function firstStepsLeft(facts: FirstStepsFacts): FirstStep[] {
  if (facts.now - facts.createdAt > ASKED_DAYS * DAY_MS) return [];
  const done: Readonly<Record<FirstStep, boolean>> = {
    patient: facts.patients > 0,
    members: facts.members > 1,
    backup: facts.hasBackup,
    address: facts.hasAddress,
  };
  return FIRST_STEPS.filter((step) => !done[step]);
}
