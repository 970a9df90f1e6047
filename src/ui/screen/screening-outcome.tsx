import {
  OUTCOME_NAMES,
  type Outcome,
  PRECAUTIONS,
  type ScreeningResult,
  type ScreeningRule,
  blocksPrescribing,
  flagsInWords,
} from '@/core/screen';

/** The outcome's name; the words carry it, the colour only helps. */
export function OutcomeName({ outcome }: { outcome: Outcome | 'unfinished' }) {
  if (outcome === 'unfinished') return <span className="font-semibold">Not finished</span>;
  return (
    <span className={`font-semibold ${blocksPrescribing(outcome) ? 'text-stop' : 'text-ink'}`}>
      {OUTCOME_NAMES[outcome]}
    </span>
  );
}

/** Every rule that fired, with its reason and source. */
export function FiredRules({ rules }: { rules: readonly ScreeningRule[] }) {
  if (rules.length === 0) return null;
  return (
    <ul className="grid gap-2">
      {rules.map((rule) => (
        <li key={rule.id} className="border-l-2 border-dark-rib pl-2">
          <p>{rule.reason}</p>
          <p className="text-small text-soft">
            {OUTCOME_NAMES[rule.outcome]}. {rule.source}
          </p>
          {rule.precaution && PRECAUTIONS[rule.precaution].flags.length > 0 && (
            <p className="text-small text-soft">Flags: {flagsInWords(rule.precaution)}.</p>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What the two guided rules say, where they have something to say. */
export function GuidedVerdicts({ result }: { result: ScreeningResult }) {
  const { neckInjury, cord } = result;
  const lines: string[] = [];
  if (neckInjury.kind === 'unanswered')
    lines.push(`Neck-injury rule: still to ask, ${neckInjury.missing.join(', ')}.`);
  if (neckInjury.kind === 'image' || neckInjury.kind === 'does not apply')
    lines.push(
      `Neck-injury rule: ${neckInjury.kind === 'image' ? 'image first' : 'does not apply'} (${neckInjury.because.join(', ')}).`,
    );
  if (neckInjury.kind === 'cleared by the rule') lines.push('Neck-injury rule: no image needed.');
  if (cord.positive > 0 || cord.known > 1)
    lines.push(
      `Neck cord cluster: ${cord.positive} of ${cord.known} known signs positive, ${cord.kind}.`,
    );
  return lines.map((line) => (
    <p key={line} className="text-small">
      {line}
    </p>
  ));
}
