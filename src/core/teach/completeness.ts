import type { BodyPart } from '../symptoms';
import { feltVerdict } from './felt';
import type { SaidPart } from './taught';
import { type Closing, SAID_PARTS, type TaughtLine, untaught } from './taught';

/** What one exercise's teaching is judged by. */
export type TaughtFacts = {
  readonly lineage: string;
  readonly name: string;
  readonly expected: readonly BodyPart[];
  /** Parts of the dose that are not written, in words. */
  readonly missing: readonly string[];
};

/** Something that was not said, shown or checked; `line` null for the whole visit. */
export type Gap = { readonly line: string | null; readonly say: string };

const NOT_SAID: Readonly<Record<SaidPart, string>> = {
  kind: 'what kind it is was not said',
  muscle: 'the muscle was not said',
  why: 'why this patient was not said',
  risk: 'the risk was not said',
  numbers: 'the numbers were not said',
  stop: 'when to stop was not said',
};

/** What is open for one exercise, in the order of the sheet. */
export function gapsOfLine(facts: TaughtFacts, taught: TaughtLine): Gap[] {
  const gap = (say: string): Gap => ({ line: facts.lineage, say: `${facts.name}: ${say}.` });
  const unwritten = facts.missing.map((text) => gap(`not written in the dose: ${text}`));
  if (isUntouched(taught)) return [...unwritten, gap('not taught')];
  const verdict = feltVerdict(facts.expected, taught.felt);
  return [
    ...unwritten,
    ...SAID_PARTS.filter((part) => !taught.said.includes(part)).map((part) => gap(NOT_SAID[part])),
    ...(taught.demonstrated ? [] : [gap('it was not demonstrated')]),
    ...(taught.watched ? [] : [gap('the patient has not shown it')]),
    ...(verdict === 'not asked' ? [gap('where it is felt was not asked')] : []),
    ...(verdict === 'elsewhere' && taught.faults.length === 0 && taught.cue === ''
      ? [gap('it is felt elsewhere than expected, and no fix is written')]
      : []),
    ...(taught.comfortable === null ? [gap('whether it is comfortable was not asked')] : []),
    ...(taught.comfortable === 'no' && taught.faults.length === 0 && taught.cue === ''
      ? [gap('it is not comfortable, and no fix is written')]
      : []),
    ...(taught.breathing === null ? [gap('breathing was not checked')] : []),
    ...(taught.faults.some(({ fix }) => fix === '')
      ? [gap('a fault was seen, and its fix is not written')]
      : []),
    ...(taught.questions === null ? [gap('questions were not asked for')] : []),
  ];
}

function isUntouched({
  said,
  demonstrated,
  watched,
  felt,
  faults,
  ...answers
}: TaughtLine): boolean {
  return (
    said.length + felt.length + faults.length === 0 &&
    !demonstrated &&
    !watched &&
    answers.comfortable === null &&
    answers.breathing === null &&
    answers.questions === null
  );
}

/** Everything open before the patient leaves: exercise by exercise, then the visit's own. */
export function teachingGaps(
  facts: readonly TaughtFacts[],
  taught: readonly TaughtLine[],
  closing: Closing,
  consented: boolean,
): Gap[] {
  const byLineage = new Map(taught.map((line) => [line.lineage, line]));
  return [
    ...facts.flatMap((one) => gapsOfLine(one, byLineage.get(one.lineage) ?? untaught(one.lineage))),
    ...(consented
      ? []
      : [{ line: null, say: 'Consent to exercise is not recorded (under Screen).' }]),
    ...(closing.doseSaidAgain
      ? []
      : [{ line: null, say: 'The doses were not said again at the end.' }]),
    ...(closing.dayToComeBack ? [] : [{ line: null, say: 'The day to come back was not said.' }]),
  ];
}
