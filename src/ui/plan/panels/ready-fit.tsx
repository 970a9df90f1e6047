'use client';

import type { ReadyProgramme } from '@/core/ready';
import { type Screened, UNSCREENED, standsFor } from '@/core/screen';
import { Button } from '../../primitives/button';

/** A line of a programme that was put down, closed to this patient, with what can take its place. */
export type ClosedLine = {
  readonly uid: string;
  readonly name: string;
  readonly closed: readonly string[];
  /** Null where nothing that keeps its purpose is open. */
  readonly instead: {
    readonly exerciseId: string;
    readonly name: string;
    readonly dose: string;
  } | null;
};

/** What this patient's precautions, positions and home change of a programme that was just put down. */
export function ReadyFit({
  programme,
  lines,
  screened,
  onTake,
  onLeave,
}: {
  programme: ReadyProgramme;
  screened: Screened;
  lines: readonly ClosedLine[];
  onTake: () => void;
  onLeave: () => void;
}) {
  const offered = lines.filter(({ instead }) => instead !== null).length;
  return (
    <section
      aria-label={`What this patient changes of ${programme.name}`}
      className="grid gap-2 border-l-2 border-lit py-1 pl-3"
    >
      <p role="status">
        <strong className="font-semibold">{programme.name}</strong> is put down.{' '}
        {lines.length === 0
          ? 'No line is closed by what is known of this patient.'
          : `${lines.length === 1 ? '1 line is' : `${lines.length} lines are`} closed to this patient:`}
      </p>
      {!standsFor(screened) && <p className="text-stop">{UNSCREENED[screened]}</p>}
      {lines.length > 0 && (
        <ul className="grid gap-1">
          {lines.map(({ uid, name, closed, instead }) => (
            <li key={uid}>
              {name}: {closed.join('; ')}.{' '}
              <span className="text-soft">
                {instead
                  ? `Instead: ${instead.name}.`
                  : 'Nothing that keeps its purpose is open: take it out, or write why it stays.'}
              </span>
            </li>
          ))}
        </ul>
      )}
      <p className="text-soft">Not for: {programme.notFor}</p>
      <ul className="text-soft">
        {programme.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <p className="flex flex-wrap gap-2">
        {offered > 0 && (
          <Button look="main" onClick={onTake}>
            {offered === 1 ? 'Take the substitute' : `Take the ${offered} substitutes`}
          </Button>
        )}
        <Button onClick={onLeave}>{lines.length === 0 ? 'Read' : 'Leave as it is'}</Button>
      </p>
    </section>
  );
}
