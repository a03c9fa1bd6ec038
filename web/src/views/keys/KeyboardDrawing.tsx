import type { Task } from '@sorn/core/commands';
import { chakra } from '@chakra-ui/react';
import { keyboardOf, keyFaces, reachOfKey, type KeyboardKey, type KeyFace } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { keyName, modifierOf, type Legends, type Modifier } from '@sorn/core/values';
import { memo, useMemo, type CSSProperties } from 'react';
import { DrawnArrow, isArrow } from '../../ui/arrows.tsx';
import { shortened, textWidth } from '../../sheet/text-width.ts';

/** What is written on the keys beside their names. */
export const FACES = [
  { value: 'commands', text: 'Commands' },
  { value: 'use', text: 'Use' },
  { value: 'reach', text: 'Reach' },
] as const;
export type Face = (typeof FACES)[number]['value'];

/** How the keys of a task are filled: each by a pattern of its own, so that no colour has to be told from another. */
const FILLS: Record<Task, string> = {
  focus: 'deep',
  move: 'deep',
  sizes: 'dots',
  layout: 'dots',
  holding: 'wash',
  placing: 'stripes',
  zones: 'stripes',
  apps: 'slants',
  workspaces: 'rail',
  monitors: 'rail',
  desk: 'wash',
  layers: 'ink',
  outside: 'outside',
};

/** A key is drawn at most so wide, in pixels. */
const LARGEST_KEY = 84;
/** Letters grow with keys that are wider than this, up to a quarter. */
const PLAIN_KEY = 54;
const letterGrowth = (unit: number) => Math.min(1.25, Math.max(1, unit / PLAIN_KEY));

const HEAT_STEPS = 4;
const STROKE = 3;

/** The board of the profile with what each key does in a layer while modifiers are down. */
export function KeyboardDrawing(props: {
  profile: Profile;
  layer: string;
  modifiersDown: readonly Modifier[];
  face: Face;
  /** How often the keys of each binding did something, by their text. */
  uses: ReadonlyMap<string, number>;
  /** The selected binding, by the keys it is written with. */
  selected: string | null;
  /** Keys of what was found, by code. */
  faulty?: ReadonlySet<string>;
  /** What keys did before a change, by code: it is struck through over what they do now. */
  former?: ReadonlyMap<string, string>;
  /** Room in pixels. */
  width: number;
  height: number;
  onKey: (face: KeyFace) => void;
}) {
  const { profile, layer, modifiersDown, face, uses, selected, faulty, former } = props;
  const board = keyboardOf(profile);
  const faces = useMemo(
    () => keyFaces(profile, layer, modifiersDown),
    [profile, layer, modifiersDown],
  );
  const unit = Math.min(props.width / board.width, props.height / board.height, LARGEST_KEY);
  // Where the board is wide, its keys are drawn higher, so that two lines have room.
  const high = Math.max(unit, Math.min(unit * 1.3, props.height / board.height));
  const most = Math.max(
    1,
    ...[...faces.values()].map(({ binding }) => uses.get(binding.keys) ?? 0),
  );
  return (
    <chakra.svg
      width={`${board.width * unit}px`}
      height={`${board.height * high}px`}
      role="group"
      aria-label={`${board.title}, layer ${layer}${modifiersDown.length > 0 ? ` with ${modifiersDown.join(' ')}` : ''}`}
      css={boardStyle}
      style={{ '--letters': letterGrowth(unit) } as CSSProperties}
      data-board={board.form}
    >
      <Patterns />
      {board.keys.map((key) => (
        <Key
          key={key.code}
          at={key}
          legends={profile.keys.legends}
          unit={unit}
          high={high}
          face={faces.get(key.code) ?? null}
          shows={shownOn(face, faces.get(key.code) ?? null, uses, profile, key.code)}
          heat={
            face === 'use' && faces.has(key.code)
              ? Math.ceil((HEAT_STEPS * (uses.get(faces.get(key.code)!.binding.keys) ?? 0)) / most)
              : null
          }
          isFigure={face !== 'commands'}
          isDown={modifiersDown.some((modifier) => modifierOf(key.code) === modifier)}
          isSelected={selected !== null && faces.get(key.code)?.binding.keys === selected}
          isFaulty={faulty?.has(key.code) ?? false}
          former={former?.get(key.code) ?? null}
          onKey={props.onKey}
        />
      ))}
    </chakra.svg>
  );
}

function shownOn(
  face: Face,
  of: KeyFace | null,
  uses: ReadonlyMap<string, number>,
  profile: Profile,
  code: string,
): string {
  if (face === 'reach') return reachOfKey(profile, code).toFixed(1);
  if (!of) return '';
  return face === 'use' ? String(uses.get(of.binding.keys) ?? 0) : of.text;
}

interface KeyProps {
  at: KeyboardKey;
  legends: Legends | undefined;
  /** A key width and height in pixels. */
  unit: number;
  high: number;
  face: KeyFace | null;
  shows: string;
  heat: number | null;
  /** What it shows is a number. */
  isFigure: boolean;
  isDown: boolean;
  isSelected: boolean;
  isFaulty: boolean;
  former: string | null;
  onKey: (face: KeyFace) => void;
}

/** Drawn again only where something of it changed: there are a hundred of them. */
const Key = memo(function Key(props: KeyProps) {
  const { at, legends, unit, high, face, shows, heat, isDown, former } = props;
  const [x, y] = [at.x * unit + 1, at.y * high + 1];
  const [width, height] = [at.width * unit - 3, at.height * high - 3];
  // Where the pad is, its keys need not say that they are on it.
  const name = keyName(at.code, legends).replace(/^Pad /, '');
  const growth = letterGrowth(unit);
  // On keys too small for words there is their name alone.
  const most = unit < 26 || high < 30 ? 0 : high > 62 ? 3 : high > 40 ? 2 : 1;
  const room = (width - 7) / growth;
  const isChanged = former !== null;
  const own = face ? most : Math.min(most, 1);
  // What it did before takes a line of its own.
  const lines = linesOf(shows, room, isChanged ? Math.min(own, 1) : own);
  const struck = isChanged && most > 1 ? linesOf(former, room, 1) : [];
  const isNarrow = textWidth(name, 'figure') * CAP > room;
  const kind = isDown ? 'down' : !face ? 'none' : heat !== null ? `heat${heat}` : FILLS[face.task];
  return (
    <g
      className={`key ${kind}${face?.isBelow ? ' below' : ''}${props.isSelected ? ' in-hand' : ''}${props.isFaulty ? ' faulty' : ''}${isChanged ? ' changed' : ''}`}
      data-key={at.code}
      data-does={face?.text ?? ''}
      data-former={former ?? undefined}
      onClick={() => {
        if (face) props.onKey(face);
      }}
    >
      <title>
        {face ? `${keyName(at.code, legends)}: ${face.text}` : keyName(at.code, legends)}
      </title>
      <rect className="under" x={x} y={y} width={width} height={height} rx={2} />
      <rect className="fill" x={x} y={y} width={width} height={height} rx={2} />
      {isArrow(name) ? (
        <DrawnArrow text={name} x={x + 11} y={y + 9 * growth} size={10 * growth} />
      ) : (
        <text className={`cap${isNarrow ? ' narrow' : ''}`} x={x + 5} y={y + 13 * growth}>
          {shortened(name, 'figure', room / (isNarrow ? CAP_NARROW : CAP)) || name.slice(0, 1)}
        </text>
      )}
      {struck.map((line) => (
        <text key="former" className="does former" x={x + 5} y={y + height - 5 - 11 * growth}>
          {line}
        </text>
      ))}
      {lines.map((line, i) => (
        <text
          key={i}
          className={props.isFigure ? 'figure' : 'does'}
          x={x + 5}
          y={y + height - 5 - (lines.length - 1 - i) * 11 * growth}
        >
          {line}
        </text>
      ))}
    </g>
  );
});

/** Names of keys against how they are measured: they are larger, and narrower, and narrower still where room is short. */
const CAP = 0.92;
const CAP_NARROW = 0.79;

/** Labels on keys are smaller and narrower than those that are measured. */
const NARROWER = 0.8;

/** Words in at most so many lines of a width; what has no room ends with an ellipsis. */
function linesOf(text: string, width: number, most: number): string[] {
  const room = width / NARROWER;
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = `${lines.at(-1) ?? ''} ${word}`;
    if (lines.length > 0 && textWidth(longer, 'label') <= room) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  const shown = lines.slice(0, most);
  if (most > 0 && lines.length > most) shown[most - 1] = `${shown[most - 1]!}…`;
  const short = (line: string) => shortened(line, 'label', room) || `${line.slice(0, 1)}…`;
  return shown.map((line) => (line === '' ? '' : short(line)));
}

/** Patterns for tasks; their lines take the colours of the page. */
function Patterns() {
  return (
    <defs>
      <pattern id="keys-dots" width="6" height="6" patternUnits="userSpaceOnUse">
        <circle cx="1.5" cy="1.5" r="0.8" className="ink-fill" />
      </pattern>
      <pattern id="keys-stripes" width="5" height="5" patternUnits="userSpaceOnUse">
        <path d="M0.5 0V5" className="line" />
      </pattern>
      <pattern id="keys-slants" width="7" height="7" patternUnits="userSpaceOnUse">
        <path d="M-1 8L8 -1M-1 1L1 -1M6 8L8 6" className="line" />
      </pattern>
    </defs>
  );
}

const boardStyle = {
  display: 'block',
  maxWidth: '100%',
  '& rect.under': { fill: 'sheet', stroke: 'hairline' },
  '& rect.fill': { fill: 'transparent', stroke: 'none' },
  '& .key': { cursor: 'default' },
  '& .key:not(.none)': { cursor: 'pointer' },
  '& text': { fill: 'ink', pointerEvents: 'none' },
  '& .arrow': { stroke: 'ink', pointerEvents: 'none' },
  // Letters stand clear of the lines beneath them.
  '& .dots text, & .stripes text, & .slants text': {
    paintOrder: 'stroke',
    stroke: 'sheet',
    strokeWidth: '3px',
  },
  '& .cap': {
    fontFamily: 'mono',
    fontStretch: '88%',
    fontSize: 'calc(11.5px * var(--letters))',
    fontWeight: 600,
  },
  '& .cap.narrow': { fontStretch: '75%' },
  '& .none .cap': { fill: 'slate', fontWeight: 400 },
  '& .does': { fontSize: 'calc(11px * var(--letters))', fontStretch: '85%', fontWeight: 550 },
  '& .figure': { fontFamily: 'mono', fontStretch: '80%', fontSize: 'calc(11px * var(--letters))' },
  '& .none .figure': { fill: 'slate' },
  '& .key:not(.none) rect.under': { stroke: 'ink' },
  '& .below rect.under': { stroke: 'hairline', strokeDasharray: '3 2' },
  '& .below .does': { fill: 'slate' },
  '& .deep rect.under': { fill: 'petrol.deep' },
  '& .outside rect.under': { fill: 'sheet', strokeDasharray: '5 3' },
  '& .wash rect.under': { fill: 'petrol.wash' },
  '& .rail rect.under': { fill: 'rail' },
  '& .dots rect.fill': { fill: 'url(#keys-dots)', opacity: 0.35 },
  '& .stripes rect.fill': { fill: 'url(#keys-stripes)', opacity: 0.3 },
  '& .slants rect.fill': { fill: 'url(#keys-slants)', opacity: 0.3 },
  '& .ink rect.under': { fill: 'ink' },
  '& .ink text': { fill: 'sheet' },
  '& .ink .arrow': { stroke: 'sheet' },
  '& .down rect.under': { fill: 'vermilion', stroke: 'vermilion' },
  '& .down text': { fill: 'petrol.contrast' },
  '& .down .arrow, & .heat4 .arrow': { stroke: 'petrol.contrast' },
  '& .heat0 rect.under': { fill: 'sheet' },
  '& .heat1 rect.fill': { fill: 'petrol', opacity: 0.12 },
  '& .heat2 rect.fill': { fill: 'petrol', opacity: 0.25 },
  '& .heat3 rect.fill': { fill: 'petrol', opacity: 0.4 },
  '& .heat4 rect.under': { fill: 'petrol' },
  '& .heat4 text': { fill: 'petrol.contrast' },
  '& .former': { textDecoration: 'line-through' },
  '& .changed rect.fill': { stroke: 'vermilion', strokeWidth: 2 },
  '& .faulty rect.fill': { stroke: 'vermilion', strokeWidth: 1.5, strokeDasharray: '4 2' },
  '& .key.in-hand rect.under': { stroke: 'vermilion', strokeWidth: STROKE },
  '& .ink-fill': { fill: 'ink' },
  '& .line': { stroke: 'ink', strokeWidth: 0.7, fill: 'none' },
};
