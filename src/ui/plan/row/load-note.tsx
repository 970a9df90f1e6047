import type { LoadContradiction } from '@/core/load';

/** A load that its own repetitions contradict. */
export function LoadNote({ found }: { found: LoadContradiction }) {
  const { asked, percent, allowed } = found;
  const [least, most] = [Math.floor(allowed.least), Math.floor(allowed.most)];
  return (
    <p className="text-[0.93em] font-medium">
      {percent} % of the one-repetition maximum allows about{' '}
      {least === most ? most : `${least}–${most}`} repetitions (Epley 1985, Brzycki 1993; memory),
      not {asked}.
    </p>
  );
}
