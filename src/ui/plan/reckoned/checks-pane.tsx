'use client';

import { CHECK_AREAS, type Check, type CheckArea, isFine } from '@/core/programme';

const QUESTIONS: Readonly<Record<CheckArea, string>> = {
  complete: 'Complete?',
  safe: 'Safe?',
  feasible: 'Feasible?',
  covers: 'Covers the findings?',
  trade: 'As the trade would?',
};
const MARKS: Readonly<Record<Check['weight'], { sign: string; look: string; word: string }>> = {
  stops: { sign: '■', look: 'text-stop', word: 'Keeps it from being sent' },
  look: { sign: '▲', look: 'text-lit-ink', word: 'Look at it' },
  note: { sign: '·', look: 'text-soft', word: 'To know' },
};
const MOST_SHOWN = 12;

/** What is to be said of the programme at this moment; each item leads to its line. */
export function ChecksPane({
  checks,
  onJump,
}: {
  checks: readonly Check[];
  onJump: (uid: string) => void;
}) {
  return (
    <section
      aria-label="Checks"
      className="grid gap-x-6 gap-y-3 border-t border-ink pt-2 sm:grid-cols-2"
    >
      {CHECK_AREAS.map((area) => {
        const items = checks.filter((check) => check.area === area);
        return (
          <div key={area}>
            <h2 className="font-semibold">
              {QUESTIONS[area]}{' '}
              <span className={isFine(checks, area) ? 'text-soft' : 'text-lit-ink'}>
                {isFine(checks, area) ? 'Yes.' : 'Not yet.'}
              </span>
            </h2>
            <ul>
              {items.slice(0, MOST_SHOWN).map((check) => (
                <Item key={`${check.line} ${check.say}`} check={check} onJump={onJump} />
              ))}
            </ul>
            {items.length > MOST_SHOWN && (
              <p className="text-soft">and {items.length - MOST_SHOWN} more.</p>
            )}
          </div>
        );
      })}
    </section>
  );
}

function Item({ check, onJump }: { check: Check; onJump: (uid: string) => void }) {
  const { sign, look, word } = MARKS[check.weight];
  const { line } = check;
  const words = (
    <>
      <span aria-hidden className={`${look} mr-1`}>
        {sign}
      </span>
      <span className="sr-only">{word}: </span>
      {check.say}
    </>
  );
  return (
    <li className="py-0.5 text-small">
      {line === null ? (
        <span>{words}</span>
      ) : (
        <button type="button" className="text-left hover:underline" onClick={() => onJump(line)}>
          {words}
        </button>
      )}
    </li>
  );
}
