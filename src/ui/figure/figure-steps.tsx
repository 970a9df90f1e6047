import { type Figure, drawFigure, drawPose } from '@/core/figure';
import { describeFigure } from '@/catalogue';
import { FigureStill } from './still';

/** An exercise as its poses in a row, each with its name, and its commonest fault beside them. */
export function FigureSteps({
  figure,
  side = 'right',
  fault = true,
  size = 'h-36',
  words = true,
}: {
  figure: Figure;
  side?: 'right' | 'left';
  fault?: boolean;
  size?: string;
  /** Names under the pictures; without them they are still read aloud. */
  words?: boolean;
}) {
  const last = figure.poses.length - 1;
  return (
    <div role="group" aria-label={describeFigure(figure)} className="flex flex-wrap gap-3">
      {figure.names.map((name, index) => (
        <figure key={name} className="w-min">
          <FigureStill
            drawing={drawFigure(figure, index / last, { side, before: index > 0 })}
            label=""
            className={`${size} w-auto max-w-none`}
          />
          <figcaption className={words ? 'text-small text-soft' : 'sr-only'}>
            {index + 1}. {name}
          </figcaption>
        </figure>
      ))}
      {fault && figure.fault && (
        <figure className="w-min border-l-2 border-hair pl-3">
          <FigureStill
            drawing={drawPose(figure, figure.fault.pose, { side, effort: false })}
            label=""
            className={`${size} w-auto max-w-none`}
          />
          <figcaption className={words ? 'text-small' : 'sr-only'}>
            <span aria-hidden>✕ </span>Not so: {figure.fault.name}
          </figcaption>
        </figure>
      )}
    </div>
  );
}
