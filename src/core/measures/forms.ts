import { furthestReach, isRegion, nerveDeficits } from '../symptoms';
import type { MeasurementBody } from './body';
import { nodPerformanceIndex } from './control';
import { heldFromBelow, wedgeFit } from './fit';
import type { MeasureKindId } from './kinds';
import { activityMean, backIndex, neckIndex } from './scores';

type FormName = MeasurementBody['form'];
type BodyOf<Name extends FormName> = Extract<MeasurementBody, { readonly form: Name }>;

/** What one form's records come to. */
type Form<Name extends FormName> = {
  /** Its number, in the unit of the kind; null where it is a choice, or none can be given. */
  readonly value: (body: BodyOf<Name>, kind: MeasureKindId) => number | null;
  /** In words, where the number alone does not say it. */
  readonly words?: (body: BodyOf<Name>, value: number | null) => string;
};

/** Every form but trials. Adding one is adding a row, beside its schema and its fields. */
const FORMS: { readonly [Name in FormName]: Form<Name> } = {
  choice: { value: () => null, words: ({ option }) => option },
  offsets: {
    value: (body) => {
      const held = heldFromBelow(body);
      return held.kind === 'share' ? held.total : null;
    },
  },
  wedge: {
    value: (body) => {
      const { under, thickness } = wedgeFit(body);
      return under === 'head' ? 0 - thickness : thickness;
    },
  },
  cuff: {
    value: ({ target, holds }) => nodPerformanceIndex(target, holds),
    words: ({ target, holds }, value) => `index ${value} (${holds} holds at ${target} mmHg)`,
  },
  nerve: {
    value: nerveDeficits,
    words: (_, value) => (value === 0 ? 'nothing amiss' : `${value} amiss`),
  },
  body: {
    value: ({ regions }) => Math.max(-1, ...reachOf(regions).map(({ order }) => order)),
    words: ({ regions }) => {
      const reach = reachOf(regions);
      return reach.length === 0
        ? 'no arm or leg'
        : reach.map(({ chain, part }) => `${chain}, as far as ${part}`).join('; ');
    },
  },
  activities: { value: ({ activities }) => activityMean(activities) },
  sections: {
    value: ({ scores }, kind) => (kind === 'back-index' ? backIndex(scores) : neckIndex(scores)),
  },
  pressure: { value: ({ systolic }) => systolic },
  photo: { value: ({ value }) => value },
};

const reachOf = (regions: readonly string[]) => furthestReach(regions.filter(isRegion));

/** A body's own row; the compiler cannot follow that both are of the same form. */
function formOf(body: MeasurementBody) {
  return FORMS[body.form] as Form<FormName>;
}

/** What a body comes to; null where it is a choice, or where no number can be given. */
export function valueOfBody(kind: MeasureKindId, body: MeasurementBody): number | null {
  return formOf(body).value(body, kind);
}

/** A measure without a unit in words: where it is felt, what was chosen, how much is amiss. */
export function bodyInWords({
  value,
  body,
}: {
  readonly value: number | null;
  readonly body: MeasurementBody | null;
}): string {
  const words = body && formOf(body).words;
  if (words) return words(body, value);
  return value === null ? 'no number' : String(Math.round(value));
}
