import type { ReactNode } from 'react';
import type { Rate, ToldShare } from '@/core/evidence';
import { percentText } from '@/core/units';
import { percentRange, rateInWords } from './words';

/** A section of the evidence: what it shows, how to read it, and a table that scrolls by itself. */
export function EvidenceSection({
  title,
  say,
  children,
}: {
  title: string;
  say: string;
  children: ReactNode;
}) {
  return (
    <section className="grid gap-2 pt-9">
      <h2 className="text-lg">{title}</h2>
      <p className="max-w-[75ch] text-soft">{say}</p>
      {children}
    </section>
  );
}

export function EvidenceTable({
  label,
  columns,
  children,
}: {
  label: string;
  columns: readonly string[];
  children: ReactNode;
}) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
      <table className="w-full text-left">
        <thead className="text-soft">
          <tr className="border-b border-ink">
            {columns.map((name) => (
              <th
                key={name}
                scope="col"
                className="py-1 pr-5 align-bottom font-normal [overflow-wrap:normal]"
              >
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  );
}

export function Row({ name, children }: { name: ReactNode; children: ReactNode }) {
  return (
    <tr className="border-b border-hair">
      <th scope="row" className="py-1.5 pr-5 font-medium whitespace-nowrap">
        {name}
      </th>
      {children}
    </tr>
  );
}

/** Numbers, with their interval under them where they have one. */
export function Cell({ children, interval }: { children: ReactNode; interval?: string }) {
  return (
    <td className="figures py-1.5 pr-5 whitespace-nowrap">
      {children}
      {interval !== undefined && <div className="text-small text-soft">{interval}</div>}
    </td>
  );
}

export function WordCell({ children }: { children: ReactNode }) {
  return <td className="py-1.5 pr-5 whitespace-nowrap">{children}</td>;
}

/** A share with its count, over its interval; a dash where it may not be told. */
export function ShareCell({ told }: { told: ToldShare }) {
  if (!told)
    return (
      <Cell>
        <Untold />
      </Cell>
    );
  const { count, share, low, high } = told;
  return (
    <Cell interval={percentRange(low, high)}>
      {count} · {percentText(share)}
    </Cell>
  );
}

/** A rate of a thousand, over its interval. */
export function RateCell({ told }: { told: Rate }) {
  return told ? (
    <Cell>{rateInWords(told)}</Cell>
  ) : (
    <Cell>
      <Untold />
    </Cell>
  );
}

/** What may not be told: a dash, and in words for who cannot see why. */
export function Untold() {
  return (
    <span className="text-soft">
      –<span className="sr-only">not told: too few</span>
    </span>
  );
}
