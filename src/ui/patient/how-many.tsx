'use client';

import { useState } from 'react';
import type { PackLine } from '@/core/exchange';
import type { Counting } from '@/core/player';
import { useSay } from './say';

/** Numbers on either side of the one that is offered first. */
const STEPS = [1, -1, 2, -2];
const MOST_REPS = 200;
const MOST_LOAD = 500;

const TOUCH = 'figures grid min-h-14 place-items-center rounded border text-xl';
const FIELD = 'figures min-h-12 w-24 rounded border border-edge bg-sheet px-3 text-lg';

/** After a set: how many it was, by one touch, and what was lifted. */
export function HowManyBox({
  counting,
  line,
  before,
  onCount,
}: {
  counting: Counting;
  line: PackLine;
  /** What the set before it came to in this session; null where there was none. */
  before: number | null;
  onCount: (reps: number | null, load: number | null) => void;
}) {
  const say = useSay();
  const newest = line.lastCounted?.find(({ set }) => set === counting.set);
  const first = newest?.reps ?? before ?? counting.played;
  const near = [...new Set([counting.played, ...STEPS.map((step) => first + step)])]
    .filter((one) => one !== first && one >= 0 && one <= MOST_REPS)
    .slice(0, 4)
    .sort((a, b) => a - b);
  const offered = [first, ...near];
  const unit = line.howMany?.unit ?? null;
  const written = writtenLoad(line, counting.set);
  const [load, setLoad] = useState(newest?.load ? String(newest.load.amount) : written);
  const [other, setOther] = useState('');
  const lifted = unit === null ? null : numberFrom(load, MOST_LOAD);
  const otherReps = numberFrom(other, MOST_REPS);
  const tell = (reps: number | null) => onCount(reps, lifted);
  return (
    <fieldset className="grid gap-3 rounded border-2 border-action p-3">
      <legend className="px-1 text-lg font-semibold">
        {say(line.howMany?.alternating ? 'count.titleEach' : 'count.title')}
      </legend>
      <p className="text-soft" dir="auto">
        {line.name} · {say('count.set', { nth: counting.set })}
        {counting.side && ` · ${say(counting.side === 'left' ? 'player.left' : 'player.right')}`}
      </p>
      <div className="grid grid-cols-5 gap-2">
        {offered.map((count, index) => (
          <button
            key={count}
            type="button"
            className={`${TOUCH} ${index === 0 ? 'border-action bg-action font-semibold text-on-action' : 'border-edge bg-sheet'}`}
            onClick={() => tell(count)}
          >
            {count}
          </button>
        ))}
      </div>
      {unit !== null && (
        <label className="flex flex-wrap items-center gap-3">
          {say('count.load', { unit })}
          <input
            className={FIELD}
            inputMode="decimal"
            value={load}
            onChange={(event) => setLoad(event.target.value)}
          />
        </label>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <label className="flex items-center gap-3">
          {say('count.other')}
          <input
            className={FIELD}
            inputMode="numeric"
            value={other}
            onChange={(event) => setOther(event.target.value)}
          />
        </label>
        {otherReps !== null && (
          <button
            type="button"
            className="min-h-12 rounded border border-action px-4 font-semibold text-action"
            onClick={() => tell(Math.round(otherReps))}
          >
            {say('count.save')}
          </button>
        )}
        <button
          type="button"
          className="min-h-12 text-action underline"
          onClick={() => onCount(null, null)}
        >
          {say('count.none')}
        </button>
      </div>
    </fieldset>
  );
}

/** The weight the dose writes for a set; empty where it is found out in the session. */
function writtenLoad({ dose: { load } }: PackLine, set: number): string {
  if (load?.kind !== 'weight') return '';
  const weight = load.perSet[set - 1] ?? load.perSet[0];
  return typeof weight === 'number' ? String(weight) : '';
}

/** What was typed as a number from 0 to `most`; null for anything else. */
function numberFrom(typed: string, most: number): number | null {
  const text = typed.trim().replace(',', '.');
  const value = Number(text);
  return /^\d+(\.\d+)?$/.test(text) && value <= most ? value : null;
}
