import { shortDay, type LocalDate } from '@/core/units';
/** Teachings in the record, newest first. */
export function SignedTeachings({
  signed,
}: {
  signed: readonly {
    readonly id: string;
    readonly on: LocalDate;
    readonly version: number;
    readonly by: string;
    readonly lines: readonly string[];
  }[];
}) {
  if (signed.length === 0) return null;
  return (
    <section aria-label="Signed teachings" className="border-t border-hair pt-3">
      <h2 className="text-lg">Signed teachings</h2>
      <ul className="divide-y divide-hair">
        {signed.map(({ id, on, version, by, lines }) => (
          <li key={id}>
            <details className="py-1.5">
              <summary>
                {shortDay(on)}, version {version}, signed by <span dir="auto">{by}</span>
              </summary>
              <ul className="list-disc pl-6">
                {lines.map((line) => (
                  <li key={line} dir="auto">
                    {line}
                  </li>
                ))}
              </ul>
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}
