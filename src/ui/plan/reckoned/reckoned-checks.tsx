'use client';

import { useDeskFacts } from '../desk-facts';
import { doseFieldId } from '../row/dose-field';
import type { Settled } from '../use-settled';
import { ChecksPane } from './checks-pane';
import { type Beside, reckonedOf } from './reckoner';

const jump = (uid: string) => document.getElementById(doseFieldId(uid))?.focus();

/** What is to be said of the programme at this moment. */
export function ReckonedChecks({ settled, given }: { settled: Settled; given: Beside }) {
  return <ChecksPane checks={reckonedOf(useDeskFacts(), settled, given).checks()} onJump={jump} />;
}
