import type { PackAsk } from '@/core/exchange';
import { useSay } from './say';

/** What the clinic lacks to decide the next step, in a sentence each. */
export function ClinicAsks({ asks }: { asks: readonly PackAsk[] }) {
  const say = useSay();
  if (asks.length === 0) return null;
  const words = [...new Set(asks.map(({ what, line }) => say(`asks.${what}`, { line })))];
  return (
    <section aria-label={say('asks.title')} className="grid gap-1 rounded border-2 border-lit p-4">
      <h2 className="font-semibold">{say('asks.title')}</h2>
      {words.map((one) => (
        <p key={one} dir="auto">
          {one}
        </p>
      ))}
    </section>
  );
}
