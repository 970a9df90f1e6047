import { clockText } from '@/core/units';
import { type Language, sayToPatient } from '@/catalogue';
import { type SessionSlot } from '@/core/schedule';

/** What a session is called, in the patient's language. */
export function slotText(slot: SessionSlot, language: Language): string {
  switch (slot.kind) {
    case 'any': {
      if (slot.of === 1) return sayToPatient(language, 'session.only');
      const named =
        slot.of === 2
          ? (['morning', 'evening'] as const)
          : slot.of === 3
            ? (['morning', 'midday', 'evening'] as const)
            : [];
      const name = named[slot.nth - 1];
      return name
        ? sayToPatient(language, `session.${name}`)
        : sayToPatient(language, 'session.nth', { nth: slot.nth, count: slot.of });
    }
    case 'on waking':
      return sayToPatient(language, 'session.waking');
    case 'after waking':
      return sayToPatient(language, 'session.afterWaking');
    case 'before hands-on care':
      return sayToPatient(language, 'session.beforeCare');
    case 'after hands-on care':
      return sayToPatient(language, 'session.afterCare');
    case 'before training':
      return sayToPatient(language, 'session.before');
    case 'after training':
      return sayToPatient(language, 'session.after');
    case 'at':
      return sayToPatient(language, 'session.at', { time: clockText(slot.minute) });
  }
}
