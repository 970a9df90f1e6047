import { plainWords } from '../units';
import type { ReadyProgramme } from './ready';

/** Whether the name of a programme begins with what was typed. */
function isNamed({ name }: ReadyProgramme, typed: string): boolean {
  const wanted = plainWords(typed).join(' ');
  return wanted !== '' && plainWords(name).join(' ').startsWith(wanted);
}

/**
 * Ready programmes by what somebody typed: every word is the beginning of a word of its name or of
 * what also finds it; those whose name begins with what was typed come first.
 *
 * @example findReady(READY_PROGRAMMES, 'ten by')[0]?.id // 'ten-by-ten'
 */
export function findReady(
  programmes: readonly ReadyProgramme[],
  typed: string,
): readonly ReadyProgramme[] {
  const wanted = plainWords(typed);
  if (wanted.length === 0) return [];
  const named = (one: ReadyProgramme) => isNamed(one, typed);
  return programmes
    .filter(({ name, keywords }) => {
      const there = plainWords([name, ...keywords].join(' '));
      return wanted.every((word) => there.some((one) => one.startsWith(word)));
    })
    .sort((a, b) => Number(named(b)) - Number(named(a)));
}
