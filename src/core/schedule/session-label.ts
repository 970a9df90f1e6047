import { clockText } from '../units';
import type { SessionSlot } from './sessions';

/** What a session is called. Two are morning and evening, three have midday between them. */
export function sessionLabel(slot: SessionSlot): string {
  switch (slot.kind) {
    case 'any': {
      if (slot.of === 1) return 'Today’s session';
      const named =
        slot.of === 2
          ? ['Morning', 'Evening']
          : slot.of === 3
            ? ['Morning', 'Midday', 'Evening']
            : [];
      return named[slot.nth - 1] ?? `Session ${slot.nth} of ${slot.of}`;
    }
    case 'on waking':
      return 'On waking';
    case 'after waking':
      return 'An hour after waking';
    case 'before hands-on care':
      return 'Before hands-on care';
    case 'after hands-on care':
      return 'After hands-on care';
    case 'before training':
      return 'Before training';
    case 'after training':
      return 'After training';
    case 'at':
      return `At ${clockText(slot.minute)}`;
  }
}
