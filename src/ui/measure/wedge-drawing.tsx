import type { WedgeFit, WedgeHeights } from '@/core/measures';

/** Millimetres of the drawing's world shown across. */
const SHOWN_MM = { wide: 620, high: 330 } as const;

/** The geometry on the wedge, drawn to scale with its numbers: floor, wedge, blanket, ear, shoulder. */
export function WedgeDrawing({ heights, fit }: { heights: WedgeHeights; fit: WedgeFit }) {
  const floor = SHOWN_MM.high - 30;
  const y = (mm: number) => floor - mm;
  const under = fit.under === 'trunk' ? fit.thickness : 0;
  const head = fit.under === 'head' ? fit.thickness : 0;
  const ear = fit.earAt + head;
  const shoulder = fit.shoulderAt + under;
  return (
    <svg
      role="img"
      aria-label={`Side view. Wedge ${Math.round(heights.wedge)} mm, ear at ${Math.round(ear)} mm, shoulder at ${Math.round(shoulder)} mm above the floor${fit.under === 'nothing' ? '' : `, with ${Math.round(fit.thickness)} mm under the ${fit.under}`}.`}
      viewBox={`0 0 ${SHOWN_MM.wide} ${SHOWN_MM.high}`}
      className="w-full max-w-xl"
    >
      <line x1={10} x2={610} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={1.5} />
      <polygon
        points={`150,${floor} 60,${floor} 60,${y(heights.wedge)} 110,${y(heights.wedge)}`}
        fill="var(--wash)"
        stroke="var(--dark-rib)"
      />
      {head > 0 && (
        <rect
          x={60}
          y={y(heights.wedge + head)}
          width={70}
          height={head}
          fill="var(--lit)"
          opacity={0.55}
        />
      )}
      {under > 0 && (
        <rect x={190} y={y(under)} width={400} height={under} fill="var(--lit)" opacity={0.55} />
      )}
      <path
        d={`M 190 ${y(under)} L 590 ${y(under)} L 590 ${y(under + 60)} Q 420 ${y(under + 150)} 230 ${y(shoulder + 40)} Q 195 ${y(shoulder + 10)} 190 ${y(under)} Z`}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <circle
        cx={100}
        cy={y(ear)}
        r={72}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <circle cx={100} cy={y(ear)} r={5} fill="var(--action)" />
      <circle cx={225} cy={y(shoulder)} r={5} fill="var(--action)" />
      <line
        x1={100}
        x2={225}
        y1={y(ear)}
        y2={y(shoulder)}
        stroke="var(--action)"
        strokeDasharray="4 3"
      />
      <g fontSize={15} fill="var(--ink)" className="figures">
        <text x={112} y={y(ear) - 8}>
          ear {Math.round(ear)}
        </text>
        <text x={238} y={y(shoulder) + 5}>
          shoulder {Math.round(shoulder)}
        </text>
        <text x={12} y={floor + 20}>
          wedge {Math.round(heights.wedge)}
        </text>
        {fit.under !== 'nothing' && (
          <text x={300} y={floor + 20}>
            {Math.round(fit.thickness)} mm under the {fit.under}
          </text>
        )}
      </g>
    </svg>
  );
}
