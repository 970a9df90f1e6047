import {
  FORWARD_HEAD_BELOW,
  LOAD_BY_BEND,
  type PhotoMeasures,
  kilograms,
  ruleOfThumbLoad,
} from '@/core/measures';

const degrees = (value: number | null) => (value === null ? '–' : `${value.toFixed(1)}°`);
const mm = (value: number | null) => (value === null ? '–' : `${Math.round(value)} mm`);

/** Angles and offsets of a marked photo. */
export function PhotoNumbers({ measures }: { measures: PhotoMeasures }) {
  const angle = measures.craniovertebralAngle;
  const rows = [
    ['Craniovertebral angle', degrees(angle)],
    ['Head tilt', degrees(measures.headTilt)],
    ['Shoulder angle', degrees(measures.shoulderAngle)],
    ['Ear in front of C7', mm(measures.earToC7)],
    ['Ear in front of the shoulder', mm(measures.earToShoulder)],
    ['Camera roll taken out', degrees(measures.cameraRoll)],
  ] as const;
  return (
    <div>
      <dl className="grid grid-cols-[1fr_auto] gap-x-4">
        {rows.map(([name, value]) => (
          <div key={name} className="col-span-2 grid grid-cols-subgrid border-b border-hair py-0.5">
            <dt>{name}</dt>
            <dd className="figures text-right font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="pt-1 text-small text-soft">
        {angle < FORWARD_HEAD_BELOW.surely
          ? 'Under 48°: a forward head by the trade’s measure.'
          : angle < FORWARD_HEAD_BELOW.perhaps
            ? 'Between 48° and 50°: the trade does not agree.'
            : 'Not under 50°.'}
        {measures.earToC7 === null && ' Millimetres need a known length in the picture.'}
        {measures.cameraRoll === null &&
          ' Without an upright or level line the camera counts as level.'}
      </p>
    </div>
  );
}

/** The rule of thumb with its honest arithmetic, beside the published table. */
export function HeadLoad({ forwardMm }: { forwardMm: number }) {
  const { inches, addedPounds, totalPounds } = ruleOfThumbLoad(forwardMm);
  const both = (pounds: number) => `${pounds.toFixed(0)} lb (${kilograms(pounds).toFixed(1)} kg)`;
  return (
    <details>
      <summary className="font-semibold">What people quote about the load</summary>
      <div className="grid gap-2 py-1 text-small">
        <p>
          Rule of thumb: a head of 12 lb, and ten more for each inch that the ear is in front of the
          shoulder. {inches.toFixed(1)} in here: <strong>{both(addedPounds)} added</strong>,{' '}
          <strong>{both(totalPounds)} in all</strong>. It is often misquoted with the whole as the
          added. Common practice, no source; nobody has weighed this head.
        </p>
        <table>
          <caption className="text-left">
            Published, by the angle of bending the neck forward (Hansraj 2014), which is another
            angle than the craniovertebral one:
          </caption>
          <tbody className="figures">
            <tr>
              <th scope="row" className="pr-3 text-left font-normal">
                bend
              </th>
              {LOAD_BY_BEND.map(({ bend }) => (
                <td key={bend} className="pr-3 text-right">
                  {bend}°
                </td>
              ))}
            </tr>
            <tr>
              <th scope="row" className="pr-3 text-left font-normal">
                lb
              </th>
              {LOAD_BY_BEND.map(({ bend, pounds }) => (
                <td key={bend} className="pr-3 text-right">
                  {pounds[0] === pounds[1] ? pounds[0] : pounds.join('–')}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </details>
  );
}
