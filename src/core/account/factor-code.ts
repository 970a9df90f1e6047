/** A backup code's letters: base 32 without those that look like others (RFC 4648's alphabet has no 0, 1, 8). */
const BACKUP = /^[A-Z2-7]{16}$/;

export type FactorCode =
  | { readonly kind: 'one-time'; readonly code: string }
  | { readonly kind: 'backup'; readonly code: string };

/**
 * What was typed as the second factor: six digits, or a backup code of sixteen letters and digits, with
 * whatever spaces and dashes; null when it is neither.
 *
 * @example readFactorCode('123 456') // { kind: 'one-time', code: '123456' }
 */
export function readFactorCode(typed: string): FactorCode | null {
  const bare = typed.replace(/[\s-]/g, '').toUpperCase();
  if (/^[0-9]{6}$/.test(bare)) return { kind: 'one-time', code: bare };
  return BACKUP.test(bare) ? { kind: 'backup', code: bare } : null;
}

/** A backup code as it is shown: groups of four. */
export const shownBackupCode = (code: string) => code.match(/.{1,4}/g)?.join('-') ?? '';
