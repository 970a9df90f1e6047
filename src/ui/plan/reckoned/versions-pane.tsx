'use client';

import { type LocalDate, shortDay } from '@/core/units';
import { Button } from '../../primitives/button';
import type { DeskLine } from '../draft';

export type EarlierVersion = {
  readonly number: number;
  readonly effectiveFrom: LocalDate;
  readonly reason: string;
  readonly author: string;
  readonly rounds: number;
  readonly lines: readonly DeskLine[];
  /** What changed since the version before, in words. */
  readonly difference: readonly string[];
};

/** Earlier versions, newest first, with what each changed; any can be copied onto the desk. */
export function VersionsPane({
  versions,
  unsent,
  onCopy,
}: {
  versions: readonly EarlierVersion[];
  /** What this desk would change in the newest. */
  unsent: readonly string[];
  onCopy: (version: EarlierVersion) => void;
}) {
  if (versions.length === 0) return null;
  return (
    <section aria-label="Versions" className="grid gap-1 border-t border-ink pt-3">
      {unsent.length > 0 && (
        <p>
          <span className="text-soft">This desk would change: </span>
          {unsent.join('; ')}.
        </p>
      )}
      <details>
        <summary>
          <h2 className="inline font-semibold">Versions ({versions.length})</h2>
        </summary>
        <ol>
          {versions.map((version) => (
            <li
              key={version.number}
              className="flex flex-wrap items-start gap-x-4 border-t border-hair py-1.5"
            >
              <div className="min-w-0 flex-1 basis-72">
                <p>
                  <span className="font-medium">Version {version.number}</span>
                  <span className="text-soft">
                    {' '}
                    from {shortDay(version.effectiveFrom)}, {version.author}
                    {version.reason !== '' && `: ${version.reason}`}
                  </span>
                </p>
                {version.difference.length > 0 && (
                  <p className="text-small text-soft">{version.difference.join('; ')}.</p>
                )}
              </div>
              <Button
                onClick={() => onCopy(version)}
                aria-label={`Copy version ${version.number} onto the desk`}
              >
                Copy
              </Button>
            </li>
          ))}
        </ol>
      </details>
    </section>
  );
}
