import { SAID_PARTS, type TaughtLine } from './taught';

/**
 * One exercise's teaching in a sentence, for the note and the record.
 *
 * @example "Tuck lying down: said in full, shown and watched, felt front left neck, comfortable."
 */
export function taughtInWords(name: string, line: TaughtLine): string {
  const said =
    line.said.length === SAID_PARTS.length
      ? 'said in full'
      : line.said.length === 0
        ? 'nothing said'
        : `said: ${line.said.join(', ')}`;
  const shown = [
    line.demonstrated ? 'demonstrated' : 'not demonstrated',
    line.watched ? 'shown by the patient' : 'not shown by the patient',
  ].join(', ');
  const answers = [
    line.felt.length > 0 ? `felt ${line.felt.join(', ')}` : '',
    line.comfortable === null ? '' : line.comfortable === 'yes' ? 'comfortable' : 'not comfortable',
    line.breathing === null ? '' : line.breathing === 'yes' ? 'breathing freely' : 'breath held',
  ].filter((text) => text !== '');
  const faults = line.faults.map(({ fault, fix }) => `${fault}${fix === '' ? '' : ` (${fix})`}`);
  return (
    [
      `${name}: ${said}; ${shown}`,
      ...(answers.length > 0 ? [answers.join(', ')] : []),
      ...(faults.length > 0 ? [`seen: ${faults.join('; ')}`] : []),
      ...(line.cue === '' ? [] : [`own reminder: “${line.cue}”`]),
      ...(line.questions ? [`asked: ${line.questions}`] : []),
    ].join('; ') + '.'
  );
}
