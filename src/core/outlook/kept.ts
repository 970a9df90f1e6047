import type { Choice } from './outlook';
import type { LineFacts, LineOutlook } from '../progression';
import type { SentLine } from '../programme';
import type { FollowRecord } from './record';

/** What a line's outlook is found of: its facts, with what the steps of its stairs are found of. */
export type Given = Omit<LineFacts, 'rungs'> & {
  readonly catalogue: Choice['all'];
  readonly home: FollowRecord['home'];
};

type Kept = { readonly given: Given; readonly outlook: LineOutlook };

/** What was found of each line last. */
const kept = new WeakMap<SentLine, Kept>();

/**
 * The very outlook of before where a line's facts are no others: most events are of one line, and what was
 * found of all others holds on.
 *
 * @param find the outlook of these facts
 */
export function outlookAsBefore(
  line: SentLine,
  given: Given,
  find: () => LineOutlook,
): LineOutlook {
  const before = kept.get(line);
  if (before && isSame(before.given, given)) return before.outlook;
  const outlook = find();
  kept.set(line, { given, outlook });
  return outlook;
}

/** Whether two lines' facts are the same, every one of them; in doubt they are not. */
function isSame(a: Given, b: Given): boolean {
  const names = Object.keys(b) as (keyof Given)[];
  return (
    names.length === Object.keys(a).length &&
    names.every((name) => (name === 'decided' ? isSameDecided(a, b) : isSameFact(a[name], b[name])))
  );
}

/** The same value, or lists that hold the same. */
function isSameFact(a: Given[keyof Given], b: Given[keyof Given]): boolean {
  if (a === b) return true;
  return (
    Array.isArray(a) &&
    Array.isArray(b) &&
    a.length === b.length &&
    a.every((one, at) => one === b[at])
  );
}

function isSameDecided({ decided: a }: Given, { decided: b }: Given): boolean {
  return (
    a.declinedOn === b.declinedOn &&
    a.askedOn === b.askedOn &&
    a.events.size === b.events.size &&
    [...a.events].every((event) => b.events.has(event))
  );
}
