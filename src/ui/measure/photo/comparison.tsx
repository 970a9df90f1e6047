import { type LocalDate, shortDay } from '@/core/units';
import { cameraRoll, changeBetween, overlayAtC7 } from '@/core/measures';
import { AngleLines, type Drawn, FRAME, PlacedPicture, type Placement } from './marked-photo';

type Dated = Drawn & {
  readonly takenOn: LocalDate;
  /** The craniovertebral angle that counts, degrees: the mean of the photo's markings. */
  readonly angle: number;
};

/** Two dates side by side, and laid over each other at C7 at one scale. */
export function Comparison({
  earlier,
  later,
  needed,
}: {
  earlier: Dated;
  later: Dated;
  /** The change of the craniovertebral angle that counts as real here, degrees; null when not known. */
  needed: number | null;
}) {
  const shown = { earlier: earlier.angle.toFixed(1), later: later.angle.toFixed(1) };
  // Both are drawn as tall as the earlier picture fits the frame.
  const scale = FRAME.height / earlier.height;
  const base: Placement = { scale, turn: 0 - cameraRoll(earlier.marks), mirror: false };
  const overlay = overlayAtC7(earlier.marks, later.marks);
  const over: Placement = { ...overlay, scale: scale * overlay.scale };
  const change = changeBetween(
    earlier.angle,
    later.angle,
    needed === null ? null : { by: needed },
    'more',
  );
  const sign = change.difference > 0 ? '+' : change.difference < 0 ? '−' : '±';
  const words = `${sign}${Math.abs(change.difference).toFixed(1)}°`;
  const { facing } = earlier.marks;
  return (
    <div className="grid gap-4">
      <p role="status">
        Craniovertebral angle {shown.earlier}° on {shortDay(earlier.takenOn)}, {shown.later}° on{' '}
        {shortDay(later.takenOn)}: <strong className="figures font-semibold">{words}</strong>
        {change.real === null || change.needed === null
          ? ', detectable change not known.'
          : change.real
            ? `, real (needs ${change.needed.toFixed(1)}°).`
            : `, within error (${change.needed.toFixed(1)}°).`}
      </p>
      <div className="grid gap-4 md:grid-cols-3">
        <Frame
          name={shortDay(earlier.takenOn)}
          text={`Photo of ${shortDay(earlier.takenOn)}, ${shown.earlier}°`}
        >
          <PlacedPicture photo={earlier} placement={base} />
          <AngleLines photo={earlier} placement={base} facing={facing} color="#16408f" />
        </Frame>
        <Frame
          name={shortDay(later.takenOn)}
          text={`Photo of ${shortDay(later.takenOn)}, ${shown.later}°`}
        >
          <PlacedPicture photo={later} placement={over} />
          <AngleLines photo={later} placement={over} facing={facing} color="#7b2c60" />
        </Frame>
        <Frame name="Laid over each other at C7" text="Both photos laid over each other at C7">
          <PlacedPicture photo={earlier} placement={base} />
          <PlacedPicture photo={later} placement={over} opacity={0.5} />
          <AngleLines photo={earlier} placement={base} facing={facing} color="#16408f" />
          <AngleLines photo={later} placement={over} facing={facing} color="#7b2c60" />
        </Frame>
      </div>
      <p className="text-small text-soft">
        Both upright and facing the same way, C7 in one place.{' '}
        {overlay.by === 'known length'
          ? 'At one scale, by the known length in each picture.'
          : 'No known length in both pictures, so they are brought to one distance from C7 to the ear: a guess at the scale, which leaves the angles as they are.'}
      </p>
    </div>
  );
}

function Frame({
  name,
  text,
  children,
}: {
  name: string;
  text: string;
  children: React.ReactNode;
}) {
  return (
    <figure className="grid gap-1">
      <svg
        role="img"
        aria-label={text}
        viewBox={`0 0 ${FRAME.width} ${FRAME.height}`}
        className="w-full border border-hair bg-wash"
      >
        {children}
        <g stroke="#12211d" strokeWidth={1} strokeDasharray="6 5" opacity={0.6}>
          <line x1={FRAME.c7x} x2={FRAME.c7x} y1={0} y2={FRAME.height} />
          <line x1={0} x2={FRAME.width} y1={FRAME.c7y} y2={FRAME.c7y} />
        </g>
      </svg>
      <figcaption className="figures text-soft">{name}</figcaption>
    </figure>
  );
}
