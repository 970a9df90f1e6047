'use client';

import { useEffect, useState } from 'react';
import { type Followed, METHOD, judgeAll, sayTrend, sayVerdict } from '@/core/follow';
import { type LocalDate, percent, shortDay } from '@/core/units';
import { FittedCourse } from './fitted-course';
import type { JudgeAnswer } from '@/workers/judge.worker';

const MARKS = {
  'improving beyond noise': 'text-action',
  'changed, less than matters': 'text-ink',
  'no clear change': 'text-ink',
  'was improving, now level': 'text-stop',
  'worsening beyond noise': 'text-stop',
  'not enough to say': 'text-soft',
} as const;

/** "Is it helping?": the verdicts, reckoned in a worker, and what else changed meanwhile. */
export function HelpingPanel({
  followed,
  seams,
}: {
  followed: readonly Followed[];
  seams: readonly { readonly date: LocalDate; readonly number: number }[];
}) {
  const [judged, setJudged] = useState<JudgeAnswer | null>(null);
  useEffect(() => {
    const question = { followed, seams: seams.map(({ date }) => date) };
    const worker = new Worker(new URL('../../workers/judge.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = (event: MessageEvent<JudgeAnswer>) => setJudged(event.data);
    // A browser that starts no worker still gets its verdicts.
    worker.onerror = () => setJudged(judgeAll(question.followed, question.seams));
    worker.postMessage(question);
    return () => worker.terminate();
  }, [followed, seams]);
  if (followed.length === 0)
    return <p className="text-soft">Nothing has been told or measured often enough to judge.</p>;
  if (judged === null) return <p className="text-soft">Reckoning …</p>;
  const seldom = judged.filter(
    ({ id, verdict }) => id !== 'pain' && verdict.course === 'not enough to say',
  );
  return (
    <div className="grid gap-3">
      {followed.map((one) => {
        if (seldom.some(({ id }) => id === one.id)) return null;
        const found = judged.find(({ id }) => id === one.id);
        if (!found) return null;
        const told = found.seams.filter(({ overlap }) => overlap !== null);
        return (
          <div key={one.id} className="grid gap-1">
            <p className={`font-semibold ${MARKS[found.verdict.course]}`}>
              {one.name}: {found.verdict.course}
            </p>
            <p>
              {sayVerdict(one, found.verdict)
                .replace(/^[^:]*: /, '')
                .replace(/^[^.]*\. /, '')}
            </p>
            <FittedCourse followed={one} fitted={found.verdict.fitted} />
            {told.length > 0 && (
              <ul className="text-small">
                {told.map(({ date, overlap, say, before, after }) => (
                  <li key={date}>
                    From version {seams.find((seam) => seam.date === date)?.number} (
                    {shortDay(date)}): {say}
                    {say === 'no clear difference' && ' beyond what went on anyway'}; better in{' '}
                    {percent(overlap?.share ?? 0)} % of all pairs ({percent(overlap?.low ?? 0)}–
                    {percent(overlap?.high ?? 0)} %), {before} days before, {after} after
                  </li>
                ))}
              </ul>
            )}
          </div>
        );
      })}
      {seldom.length > 0 && (
        <p className="text-soft">
          {seldom.length} {seldom.length === 1 ? 'measure has' : 'measures have'} been taken too
          seldom for a course; the review compares first with last.
        </p>
      )}
      <details>
        <summary className="text-action">How this is reckoned</summary>
        <p className="text-small text-soft">{METHOD}</p>
        <ul className="text-small text-soft">
          {followed.map((one) => {
            const found = judged.find(({ id }) => id === one.id);
            const say = found && sayTrend(one, found.verdict);
            return say ? <li key={one.id}>{say}</li> : null;
          })}
        </ul>
      </details>
    </div>
  );
}
