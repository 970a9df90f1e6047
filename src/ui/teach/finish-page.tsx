'use client';

import type { RefObject } from 'react';
import type { Closing, Gap } from '@/core/teach';
import { Refusal } from '../forms/refusal';
import { Button } from '../primitives/button';
import { Tick } from './tick';

/** What is still open, what closes the visit, and the signature. */
export function FinishPage({
  titleRef,
  gaps,
  closing,
  reviewOn,
  versionNumber,
  onClosing,
  onGap,
  onSign,
  signing,
  refusal,
  maySign,
}: {
  titleRef: RefObject<HTMLHeadingElement | null>;
  gaps: readonly Gap[];
  closing: Closing;
  reviewOn: string | null;
  versionNumber: number;
  onClosing: (closing: Closing) => void;
  onGap: (lineage: string) => void;
  onSign: () => void;
  signing: boolean;
  refusal: string;
  maySign: boolean;
}) {
  return (
    <div className="grid max-w-[70ch] gap-4">
      <h2 ref={titleRef} tabIndex={-1} className="text-xl outline-none">
        Before the patient leaves
      </h2>
      <div>
        <Tick
          on={closing.doseSaidAgain}
          id="dose-again"
          onChange={() => onClosing({ ...closing, doseSaidAgain: !closing.doseSaidAgain })}
        >
          The doses were said again
        </Tick>
        <Tick
          on={closing.dayToComeBack}
          id="come-back"
          onChange={() => onClosing({ ...closing, dayToComeBack: !closing.dayToComeBack })}
        >
          The day to come back was said:{' '}
          {reviewOn ?? <em>no review date is set; set one on the Plan desk</em>}
        </Tick>
      </div>
      <section aria-label="Open" className="grid gap-1">
        <h3 className="text-lg">
          {gaps.length === 0 ? 'Nothing is open' : `Not said or checked (${gaps.length})`}
        </h3>
        <ul className="divide-y divide-hair">
          {grouped(gaps).map(({ line, says }) => (
            <li key={line ?? says[0]} className="py-1">
              {line === null ? (
                says.join(' ')
              ) : (
                <button
                  type="button"
                  className="min-h-8 text-left text-action underline"
                  onClick={() => onGap(line)}
                >
                  {says[0]}
                  {says.length > 1 && ` And ${says.length - 1} more.`}
                </button>
              )}
            </li>
          ))}
        </ul>
      </section>
      <Refusal say={refusal} />
      {maySign ? (
        <div className="grid gap-1">
          <Button
            look="main"
            size="hand"
            className="justify-self-start"
            disabled={signing}
            onClick={onSign}
          >
            Sign the teaching of version {versionNumber}
          </Button>
          <p className="text-soft">
            {gaps.length > 0 && `What is open stands in the record as not done. `}
            Signed, it is dated and never changed.
          </p>
        </div>
      ) : (
        <p className="text-soft">A practitioner signs.</p>
      )}
    </div>
  );
}

/** The gaps of one exercise together; the visit's own each by itself. */
function grouped(gaps: readonly Gap[]): { line: string | null; says: string[] }[] {
  const groups: { line: string | null; says: string[] }[] = [];
  for (const { line, say } of gaps) {
    const last = groups.at(-1);
    if (last && line !== null && last.line === line) last.says.push(say);
    else groups.push({ line, says: [say] });
  }
  return groups;
}
