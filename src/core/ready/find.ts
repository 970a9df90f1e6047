import { plainWords } from '../units';
import type { ReadyProgramme } from './ready';

/** Whether the name of a programme begins with what was typed. */
function isNamed({ name }: Pick<ReadyProgramme, 'name'>, typed: string): boolean {
  const wanted = plainWords(typed).join(' ');
  return wanted !== '' && plainWords(name).join(' ').startsWith(wanted);
}

/**
 * Ready programmes by what somebody typed: every word is the beginning of a word of its name or of
 * what also finds it; those whose name begins with what was typed come first.
 *
 * @example findReady(READY_PROGRAMMES, 'ten by')[0]?.id // 'ten-by-ten'
 */
export function findReady<T extends Pick<ReadyProgramme, 'name' | 'keywords'>>(
  programmes: readonly T[],
  typed: string,
): readonly T[] {
  const wanted = plainWords(typed);
  if (wanted.length === 0) return [];
  const named = (one: T) => isNamed(one, typed);
  return programmes
    .filter(({ name, keywords }) => {
      const there = plainWords([name, ...keywords].join(' '));
      return wanted.every((word) => there.some((one) => one.startsWith(word)));
    })
    .sort((a, b) => Number(named(b)) - Number(named(a)));
}
