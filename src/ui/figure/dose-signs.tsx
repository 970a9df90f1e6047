import type { DoseSign } from '@/core/dose';
import { SIGN_ICONS } from '@/core/figure';

/** One sign, drawn. */
export function SignIcon({ kind }: { kind: DoseSign['kind'] }) {
  return (
    <svg viewBox="0 0 24 24" className="sign-icon" aria-hidden="true" width="18" height="18">
      <path d={SIGN_ICONS[kind]} fill="none" stroke="currentColor" strokeWidth="2" />
    </svg>
  );
}

/** What a dose asks for, as signs beside its drawing; the words next to it say the same. */
export function DoseSigns({ signs }: { signs: readonly DoseSign[] }) {
  if (signs.length === 0) return null;
  return (
    <p className="signs" aria-hidden="true">
      {signs.map(({ kind, text }) => (
        <span key={kind} className="sign">
          <SignIcon kind={kind} />
          <bdi dir="ltr">{text}</bdi>
        </span>
      ))}
    </p>
  );
}
