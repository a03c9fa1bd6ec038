import { Balloon } from './Balloon.tsx';
import { shortened, textWidth, wrapped, type Face } from './text-width.ts';

const PAD = 8;
const LINE = 16;
/** Height that balloon and title take at the top. */
const HEAD = 38;

/** What a window says of itself, as far as there is room for it. */
export function WindowLabel(props: {
  frame: { width: number; height: number };
  name: string;
  title: string;
  balloon: string;
  hue: number;
  /** The tile's size, or a floating window's own. */
  size: string;
  /** The window's own size where it does not fill its tile. */
  ownSize: string | null;
  needs: string;
  /** How it is held, where that is more than tiled. */
  held: string;
}) {
  const { width, height } = props.frame;
  const hasBalloon = width >= 34 && height >= 34;
  const foot = footOf(props);
  const isTiny = !hasBalloon && width >= 24 && height >= 13;
  const flag = Math.max(1, Math.min(16, width / 2, height - 2));
  const hasTitle = height >= HEAD + 22 + foot.height;
  return (
    <>
      {hasBalloon && <Balloon x={21} y={21} text={props.balloon} hue={props.hue} />}
      {hasBalloon && (
        <text x={42} y={26} className="title">
          {shortened(props.name, 'title', width - 42 - PAD)}
        </text>
      )}
      {props.held !== '' && hasTitle && height >= HEAD + 40 + foot.height && (
        <text x={PAD} y={70} className="label" data-figure="held">
          {shortened(props.held, 'label', width - 2 * PAD)}
        </text>
      )}
      {isTiny && (
        <text x={width / 2} y={height / 2 + 4} className="balloon-text">
          {props.balloon}
        </text>
      )}
      {hasTitle && (
        <text x={PAD} y={52} className="label">
          {shortened(props.title, 'label', width - 2 * PAD)}
        </text>
      )}
      {foot.texts.map((text) => (
        <FootText key={text.figure} {...text} width={width} height={height} />
      ))}
      {props.needs !== '' && (
        <path className="flag" d={`M${width - 1 - flag} 1h${flag}v${flag}Z`}>
          <title>{props.needs}</title>
        </path>
      )}
    </>
  );
}

interface Foot {
  figure: 'size' | 'needs' | 'own-size';
  className: string;
  lines: readonly string[];
  /** Lines below it. */
  above: number;
  atRight: boolean;
}

/** The figures at the foot: the size, and beside or above it what the window needs, or its own size. */
function footOf(props: Parameters<typeof WindowLabel>[0]): { texts: Foot[]; height: number } {
  const { width, height } = props.frame;
  const room = width - 2 * PAD;
  const linesLeft = Math.floor((height - HEAD - 6) / LINE);
  const size = wrapped(props.size, 'figure', room);
  if (!size || size.length > linesLeft) return { texts: [], height: 0 };
  const sizeFoot: Foot = {
    figure: 'size',
    className: 'figure strong',
    lines: size,
    above: 0,
    atRight: false,
  };

  const face: Face = props.needs ? 'label' : 'figure';
  const text = props.needs || (props.ownSize ? `window ${props.ownSize}` : '');
  const isBeside =
    size.length === 1 && textWidth(props.size, 'figure') + 10 + textWidth(text, face) <= room;
  const note = isBeside ? [text] : wrapped(text, face, room);
  const lines = size.length + (isBeside ? 0 : (note?.length ?? 0));
  if (text === '' || !note || lines > linesLeft) {
    return { texts: [sizeFoot], height: size.length * LINE };
  }
  const noteFoot: Foot = {
    figure: props.needs ? 'needs' : 'own-size',
    className: props.needs ? 'label marked' : 'figure',
    lines: note,
    above: isBeside ? 0 : size.length,
    atRight: isBeside,
  };
  return { texts: [sizeFoot, noteFoot], height: lines * LINE };
}

function FootText(props: Foot & { width: number; height: number }) {
  const { lines } = props;
  const x = props.atRight ? props.width - PAD : PAD;
  return (
    <text
      className={props.className}
      data-figure={props.figure}
      textAnchor={props.atRight ? 'end' : 'start'}
    >
      {lines.map((line, i) => (
        <tspan key={i} x={x} y={props.height - 9 - (props.above + lines.length - 1 - i) * LINE}>
          {/* Lines of one text, so that it reads as one. */}
          {i < lines.length - 1 ? `${line} ` : line}
        </tspan>
      ))}
    </text>
  );
}
