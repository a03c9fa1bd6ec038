/** An app's two capitals in a circle outlined in its hue, as parts are numbered on a plan. */
export function Balloon(props: { x: number; y: number; text: string; hue: number }) {
  const hue = `oklch(var(--balloon-lightness, 0.58) 0.12 ${props.hue + 25})`;
  return (
    <g transform={`translate(${props.x} ${props.y})`} aria-hidden>
      <circle r={12.5} className="balloon" stroke={hue} />
      <text y={4} className="balloon-text">
        {props.text}
      </text>
    </g>
  );
}
