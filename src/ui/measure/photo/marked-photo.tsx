import { type PhotoMarks, measurePhoto } from '@/core/measures';

type Drawn = {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly marks: PhotoMarks;
};

/** How a picture is drawn into a frame with C7 at a fixed place. */
export type Placement = {
  /** Pixels of the frame to one of the picture. */
  readonly scale: number;
  /** Degrees. */
  readonly turn: number;
  readonly mirror: boolean;
};

export const FRAME = { width: 460, height: 560, c7x: 210, c7y: 290 } as const;

/** A picture laid into the frame: upright, mirrored where asked, with C7 at the frame's place. */
export function PlacedPicture({
  photo,
  placement,
  opacity = 1,
}: {
  photo: Drawn;
  placement: Placement;
  opacity?: number;
}) {
  const { c7 } = photo.marks;
  const { scale, turn, mirror } = placement;
  return (
    <g
      opacity={opacity}
      transform={`translate(${FRAME.c7x} ${FRAME.c7y}) scale(${mirror ? -scale : scale} ${scale}) rotate(${turn}) translate(${-c7.x} ${-c7.y})`}
    >
      <image
        href={`/api/v1/photos/picture?id=${photo.id}`}
        width={photo.width}
        height={photo.height}
      />
    </g>
  );
}

/** Plumb line, level line and the line from C7 to the ear, in the frame's own upright. */
export function AngleLines({
  photo,
  placement,
  facing,
  color,
}: {
  photo: Drawn;
  placement: Placement;
  /** The way the frame faces. */
  facing: 'left' | 'right';
  color: string;
}) {
  const { tragus, c7 } = photo.marks;
  const angle = (measurePhoto(photo.marks).craniovertebralAngle * Math.PI) / 180;
  const length = Math.hypot(tragus.x - c7.x, tragus.y - c7.y) * placement.scale;
  const forward = (facing === 'right' ? 1 : -1) * Math.cos(angle) * length;
  const up = Math.sin(angle) * length;
  const { c7x, c7y } = FRAME;
  return (
    <g stroke={color} strokeWidth={2} fill="none">
      <line x1={c7x} y1={c7y} x2={c7x + forward} y2={c7y - up} />
      <circle cx={c7x + forward} cy={c7y - up} r={5} />
    </g>
  );
}

export type { Drawn };
