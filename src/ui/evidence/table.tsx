import type { ReactNode } from 'react';

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
              <th key={name} scope="col" className="py-1 pr-5 align-bottom font-normal">
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

export function Cell({ children }: { children: ReactNode }) {
  return <td className="figures py-1.5 pr-5 whitespace-nowrap">{children}</td>;
}

/** What may not be told: a dash, and in words for who cannot see why. */
export function Untold() {
  return (
    <span className="text-soft">
      –<span className="sr-only">not told: too few</span>
    </span>
  );
}
