/** A size in figures, on a plate over the drawing, around a point in screen pixels. */
export function SizeLabel({ x, y, text }: { x: number; y: number; text: string }) {
  return (
    <g className="place-size">
      <rect x={x - 48} y={y - 11} width={96} height={22} />
      <text x={x} y={y + 4} textAnchor="middle" className="figure marked">
        {text}
      </text>
    </g>
  );
}
