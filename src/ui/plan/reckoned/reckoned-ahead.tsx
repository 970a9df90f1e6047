'use client';

import { type Dispatch, useMemo } from 'react';
import { versionDifference } from '@/core/programme';
import { toast } from '../../primitives/toast';
import { useDeskFacts } from '../desk-facts';
import { comparedDesk } from '../desk-reading';
import type { DeskAction } from '../desk-state';
import type { Settled } from '../use-settled';
import { type Beside, reckonedOf } from './reckoner';
import { type EarlierVersion, VersionsPane } from './versions-pane';
import { WeeksPane } from './weeks-pane';

/** What comes, week by week, and what was: the versions before, and what this desk would change. */
export function ReckonedAhead({
  settled,
  given,
  earlier,
  step,
}: {
  settled: Settled;
  given: Beside;
  earlier: readonly EarlierVersion[];
  step: Dispatch<DeskAction>;
}) {
  const facts = useDeskFacts();
  const { catalogue } = facts;
  const { desk, frame, planned } = settled;
  const [newest] = earlier;
  const unsent = useMemo(
    () =>
      newest
        ? versionDifference(
            comparedDesk(newest, catalogue, frame.from),
            comparedDesk(desk, catalogue, frame.from),
          )
        : [],
    [newest, desk, catalogue, frame.from],
  );
  return (
    <div className="grid gap-6 pt-6">
      {planned.length > 0 && (
        <WeeksPane
          days={reckonedOf(facts, settled, given).calendar()}
          planned={planned}
          frame={frame}
        />
      )}
      <VersionsPane
        versions={earlier}
        unsent={unsent}
        onCopy={(version) => {
          step({ type: 'order', lines: version.lines });
          step({ type: 'set', fields: { rounds: version.rounds } });
          toast(`Version ${version.number} stands on the desk.`);
        }}
      />
    </div>
  );
}
