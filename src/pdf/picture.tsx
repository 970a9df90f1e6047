import { G, Path, Svg } from '@react-pdf/renderer';
import { type Drawing, PAPER_PALETTE, broad } from '@/core/figure';

/** A drawing of the catalogue. The library paints a stroke over its fill, so each outline is drawn first and filled after. */
export function Picture({ drawing, width }: { drawing: Drawing; width: number }) {
  const [, , wide, high] = drawing.box;
  return (
    <Svg width={width} height={(width * high) / wide} viewBox={drawing.box.join(' ')}>
      <Shapes drawing={drawing} />
    </Svg>
  );
}

function Shapes({ drawing: { shapes, unit, inset } }: { drawing: Drawing }) {
  return (
    <>
      {shapes
        .filter(({ d }) => d !== '')
        .map(({ tone, d }, index) => {
          const { fill, stroke, width: strokeWidth, dash, opacity, over } = PAPER_PALETTE[tone];
          const ground = fill !== 'none' && <Path d={d} fill={fill} />;
          return (
            <G key={index} opacity={opacity}>
              {over && ground}
              {stroke !== 'none' && (
                <Path
                  d={d}
                  fill="none"
                  stroke={stroke}
                  // Half of a line lies under its fill.
                  strokeWidth={broad(strokeWidth, unit)}
                  strokeLinejoin="round"
                  strokeLinecap="round"
                  {...(dash ? { strokeDasharray: dash } : {})}
                />
              )}
              {!over && ground}
            </G>
          );
        })}
      {inset && (
        <G transform={insetTransform(inset)}>
          <Shapes drawing={inset.of} />
        </G>
      )}
    </>
  );
}

/** Where the small picture of a close-up stands, as the library places a group. */
function insetTransform({ place: [x, y, width], of }: NonNullable<Drawing['inset']>): string {
  const [left, top, wide] = of.box;
  const scale = width / wide;
  return `translate(${x - left * scale} ${y - top * scale}) scale(${scale})`;
}
