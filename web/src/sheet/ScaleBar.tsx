import { scaleBarLength } from './viewport.ts';

/** How long so many desk pixels are on the sheet. */
export function ScaleBar({ scale }: { scale: number }) {
  const length = scaleBarLength(scale, 170);
  const width = length * scale;
  return (
    <g transform="translate(34 26)" aria-label={`Scale bar of ${length} pixels`} role="img">
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
