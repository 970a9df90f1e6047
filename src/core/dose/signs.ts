import type { Range, Seconds } from '../units';
import type { Dose } from './model';
import type { BoutMode } from './reading';

/** What a dose asks for that stands beside its drawing as a sign: the same on phone and paper. */
export type DoseSign =
  | { readonly kind: 'hold'; readonly text: string }
  | { readonly kind: 'repeat'; readonly text: string }
  | { readonly kind: 'sides'; readonly text: '' }
  | { readonly kind: 'breathe'; readonly text: string };

const span = ({ least, most }: Range): string => (least === most ? `${least}` : `${least}–${most}`);
/** Lengths of two minutes and more are said in minutes where they are whole ones. */
const inSeconds = ({ least, most }: Range<Seconds>): string =>
  least >= 120 && least % 60 === 0 && most % 60 === 0
    ? `${span({ least: least / 60, most: most / 60 })} min`
    : `${span({ least, most })} s`;

/**
 * The signs of a dose, in the order they are done: held, how often, then the other side; breathed
 * where it says how. Numbers only, so that they are read in every language; the words beside them say
 * the rest.
 *
 * @example doseSigns(dose('10x10s each side'), 'held').map(({ text }) => text) // ['10 s', '×10', '']
 */
export function doseSigns(dose: Dose, mode: BoutMode): DoseSign[] {
  const signs: DoseSign[] = [];
  const { head, hold, side, breath } = dose;
  const held = head.kind === 'bouts' && mode !== 'moved' ? head.span : hold;
  if (held && held.most > 0) signs.push({ kind: 'hold', text: inSeconds(held) });
  const times = timesOf(head);
  if (times !== '') signs.push({ kind: 'repeat', text: times });
  if (side === 'each' || side === 'alternating') signs.push({ kind: 'sides', text: '' });
  if (breath) signs.push({ kind: 'breathe', text: `${breath.in}-${breath.hold}-${breath.out}` });
  return signs;
}

function timesOf(head: Dose['head']): string {
  switch (head.kind) {
    case 'bouts':
      return head.bouts.most === 1 ? '' : `×${span(head.bouts)}`;
    case 'sets':
      return head.sets.most === 1
        ? `×${span(head.reps)}`
        : `${span(head.sets)} × ${span(head.reps)}`;
    case 'pyramid':
      return head.reps.join('-');
  }
}
