import type { LoadContradiction } from '@/core/load';

const MAXIMA = { '1rm': 'one-repetition', '10rm': 'ten-repetition' } as const;

/** A load that its own repetitions contradict. */
export function LoadNote({ found }: { found: LoadContradiction }) {
  const { kind, set, asked, percent, of, allowed } = found;
  const [least, most] = [Math.floor(allowed.least), Math.floor(allowed.most)];
  const heavy = kind === 'too heavy';
  return (
    <p className={`text-small ${heavy ? 'font-medium' : 'text-soft'}`}>
      {heavy ? `Set ${set}: ` : ''}
      {percent} % of the {MAXIMA[of]} maximum allows about{' '}
      {least === most ? most : `${least}–${most}`} repetitions (Epley 1985, Brzycki 1993; memory)
      {heavy ? `, not ${asked}` : `; ${asked} leave much in reserve`}.
    </p>
  );
}
