import type { ReadyProgramme } from './ready';

const words = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/** Whether the name of a programme begins with what was typed. */
function isNamed({ name }: ReadyProgramme, typed: string): boolean {
  const wanted = words(typed).join(' ');
  return wanted !== '' && words(name).join(' ').startsWith(wanted);
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
  const wanted = words(typed);
  if (wanted.length === 0) return [];
  const named = (one: ReadyProgramme) => isNamed(one, typed);
  return programmes
    .filter(({ name, keywords }) => {
      const there = words([name, ...keywords].join(' '));
      return wanted.every((word) => there.some((one) => one.startsWith(word)));
    })
    .sort((a, b) => Number(named(b)) - Number(named(a)));
}
