import { ENGLISH } from '@/catalogue';
import { FigureKey, type KeySign } from './figure-key';

const say = (sign: KeySign | null): string =>
  sign === null ? ENGLISH.texts['player.key'] : ENGLISH.texts[`player.key.${sign}`];

/** The key for the clinic's pages and its paper, whose texts are English. */
export function EnglishKey({ className }: { className?: string }) {
  return <FigureKey say={say} {...(className ? { className } : {})} />;
}
