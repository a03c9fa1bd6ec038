/** How an arrow to the left is turned for each of the four. */
const TURNS: Readonly<Record<string, number>> = { '←': 0, '↑': 90, '→': 180, '↓': 270 };
/** An arrow to the left in a square of ten, its middle in the square's. */
const LEFT = 'M9.2 5H0.9M4.2 1.7L0.9 5L4.2 8.3';

/** True for one of the four arrows. */
export const isArrow = (text: string): boolean => text in TURNS;

/** An arrow within a drawing, its middle at a point: all four are of one size, as those of typefaces are not. */
export function DrawnArrow(props: { text: string; x: number; y: number; size: number }) {
  const { text, x, y, size } = props;
  const scale = size / 10;
  return (
    <path
      className="arrow"
      d={LEFT}
      fill="none"
      strokeWidth={1.5}
      transform={`translate(${x} ${y}) rotate(${TURNS[text]}) scale(${scale}) translate(-5 -5)`}
    />
  );
}

/** A text with its arrows drawn; what is read and copied is the text. */
export function WithArrows({ text }: { text: string }) {
  if (![...text].some(isArrow)) return text;
  return [...text].map((letter, i) =>
    isArrow(letter) ? (
      <span key={i} style={{ position: 'relative', display: 'inline-block' }}>
        <span style={{ color: 'transparent' }}>{letter}</span>
        <svg
          viewBox="0 0 10 10"
          aria-hidden
          style={{
            position: 'absolute',
            left: '50%',
            top: '50%',
            width: '0.86em',
            height: '0.86em',
            transform: 'translate(-50%, -50%)',
          }}
        >
          <path
            d={LEFT}
            fill="none"
            stroke="currentColor"
            strokeWidth={1.5}
            transform={`rotate(${TURNS[letter]} 5 5)`}
          />
        </svg>
      </span>
    ) : (
      letter
    ),
  );
}
