import { scaleBarLength } from './viewport.ts';

/** How long so many desk pixels are on the sheet. At its upper left, or lower where lines are drawn up there. */
export function ScaleBar({ scale, top = 26 }: { scale: number; top?: number }) {
  const length = scaleBarLength(scale, 170);
  const width = length * scale;
  return (
    <g transform={`translate(34 ${top})`} aria-label={`Scale bar of ${length} pixels`} role="img">
      <rect className="scale-back" x={-12} y={-10} width={width + 44} height={34} />
      <path className="line" d={`M0 0H${width}M0 -5V5M${width / 2} -3V3M${width} -5V5`} />
      <text y={18} className="figure" textAnchor="middle">
        0
      </text>
      <text x={width} y={18} className="figure" textAnchor="middle">
        {length} px
      </text>
    </g>
  );
}
