import type { Drawing } from '@/core/figure';

/** A drawing as it stands. Its colours are the theme's (`.figure` in globals.css). */
export function FigureStill({
  drawing,
  label,
  className = '',
}: {
  drawing: Drawing;
  /** What it shows; empty where the words beside it say it. */
  label: string;
  className?: string;
}) {
  return (
    <svg
      viewBox={drawing.box.join(' ')}
      className={`figure ${className}`}
      {...(label === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      <Shapes drawing={drawing} />
    </svg>
  );
}

/** The shapes of a drawing, and in a close-up the small picture of the whole body. */
function Shapes({ drawing: { shapes, inset } }: { drawing: Drawing }) {
  const [x, y, width, height] = inset?.place ?? [0, 0, 0, 0];
  return (
    <>
      {shapes
        .filter(({ d }) => d !== '')
        .map(({ tone, d }, index) => (
          // Shapes are places in one picture; their order never changes.
          <path key={index} className={tone} d={d} />
        ))}
      {inset && (
        <svg x={x} y={y} width={width} height={height} viewBox={inset.of.box.join(' ')}>
          <Shapes drawing={inset.of} />
        </svg>
      )}
    </>
  );
}
