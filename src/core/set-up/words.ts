import type { Phrase } from '../dose';
import type { SetUpFact } from '../records';

/** A set-up as the patient reads and hears it. */
export function readSetUp(fact: SetUpFact): Phrase {
  const phrase = (key: string, values: Phrase['values']): Phrase => ({ key, values });
  switch (fact.kind) {
    case 'pad':
      return phrase('setUp.pad', { cm: fact.cm });
    case 'blanket':
      return phrase(`setUp.blanket.${fact.under}`, { cm: fact.cm });
    case 'looking up':
      return phrase('setUp.lookingUp', { degrees: fact.degrees });
    case 'push': {
      const { least, most } = fact;
      const one = least === most ? 'setUp.push' : 'setUp.pushes';
      return phrase(fact.side === null ? one : `${one}.${fact.side}`, { least, most });
    }
    case 'band':
      return phrase('setUp.band', {
        name: ['light', 'medium', 'firm'].includes(fact.name)
          ? phrase(`band.${fact.name}`, {})
          : fact.name,
        lengths: fact.lengths,
      });
    case 'cue':
      return phrase('setUp.cue', { cue: fact.cue });
  }
}

/** A set-up in the clinician's words, as short as a change of a dose. */
export function shortSetUp(fact: SetUpFact): string {
  switch (fact.kind) {
    case 'pad':
      return `pad ${fact.cm} cm`;
    case 'blanket':
      return `${fact.cm} cm under the ${fact.under}`;
    case 'looking up':
      return `looking up to ${fact.degrees}°`;
    case 'push': {
      const kilograms =
        fact.least === fact.most ? `${fact.least} kg` : `${fact.least}–${fact.most} kg`;
      return fact.side === null
        ? `push of ${kilograms}`
        : `push of ${kilograms} to the ${fact.side}`;
    }
    case 'band':
      return `${fact.name} band at ${fact.lengths} lengths`;
    case 'cue':
      return `cue “${fact.cue}”`;
  }
}
