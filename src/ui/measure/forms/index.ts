import type { MeasureForm } from '@/core/measures';
import { ACTIVITIES } from './activities';
import { BODY } from './body';
import { CHOICE } from './choice';
import { CUFF } from './cuff';
import type { Form } from './form';
import { NERVE } from './nerve';
import { OFFSETS } from './offsets';
import { PRESSURE } from './pressure';
import { SECTIONS } from './sections';
import { WEDGE } from './wedge';

/** Every form that is filled in as a whole; trials have their own row, photos their own page. */
export const FORMS: Readonly<Record<Exclude<MeasureForm, 'trials' | 'photo'>, Form>> = {
  activities: ACTIVITIES,
  body: BODY,
  choice: CHOICE,
  cuff: CUFF,
  nerve: NERVE,
  offsets: OFFSETS,
  pressure: PRESSURE,
  sections: SECTIONS,
  wedge: WEDGE,
};
