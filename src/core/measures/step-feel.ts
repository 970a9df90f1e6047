import type { MeasurementBody } from './body';

/** Whether the step at the base of the neck was felt to slide away forwards on looking up. */
export function stepSlides(body: MeasurementBody | null): boolean {
  return body?.form === 'choice' && body.option === 'slides away';
}
