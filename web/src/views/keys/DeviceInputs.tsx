import { Box, chakra } from '@chakra-ui/react';
import { inputsOf, KEYBOARDS } from '@sorn/core/keys';
import type { InputDevice } from '@sorn/core/model';
import type { CSSProperties } from 'react';
import { useRoom } from './room.ts';

/** A key of a board is drawn at most so wide, in pixels. */
const LARGEST_KEY = 60;
const HEIGHT = 48;

/** The inputs of a device in its shape: a board key by key, buttons in rows of three; each can be clicked to bind it. */
export function DeviceInputs(props: {
  device: InputDevice;
  /** What arrived and is not declared. */
  strange: readonly string[];
  arrived: ReadonlySet<string>;
  nameOf: (code: string) => string;
  /** What an input does, in a few letters; null where nothing. */
  doesOf: (code: string) => string | null;
  onInput: (code: string) => void;
}) {
  const { device, strange, arrived, nameOf, doesOf, onInput } = props;
  const [room, width] = useRoom<HTMLDivElement>();
  const declared = inputsOf(device);
  const board = device.board ? KEYBOARDS[device.board] : null;
  const unit = board ? Math.min(LARGEST_KEY, width / board.width) : 0;
  const onBoard = new Map(board?.keys.map((key) => [key.code, key]));
  const input = (code: string, style?: CSSProperties) => (
    <button
      key={code}
      type="button"
      data-input={code}
      data-state={!declared.includes(code) ? 'strange' : arrived.has(code) ? 'arrived' : 'declared'}
      title={`${nameOf(code)}: ${doesOf(code) ?? 'nothing'}`}
      style={style}
      onClick={() => onInput(code)}
    >
      <span>{nameOf(code)}</span>
      <small>{doesOf(code) ?? '—'}</small>
    </button>
  );
  const others = [...declared, ...strange].filter((code) => !onBoard.has(code));
  return (
    <Box ref={room} css={inputStyle} overflowY="auto" flexShrink={1} minH="0">
      {board && (
        <Box
          role="group"
          aria-label="Inputs"
          position="relative"
          style={{ height: board.height * HEIGHT }}
        >
          {board.keys.map(({ code, x, y, width: wide, height }) =>
            input(code, {
              position: 'absolute',
              left: x * unit,
              top: y * HEIGHT,
              width: wide * unit - 3,
              height: height * HEIGHT - 3,
            }),
          )}
        </Box>
      )}
      {others.length > 0 && (
        <chakra.div
          role="group"
          aria-label={board ? 'Further inputs' : 'Inputs'}
          display="grid"
          gridTemplateColumns={
            device.buttons === undefined
              ? 'repeat(auto-fill, minmax(96px, 1fr))'
              : 'repeat(3, minmax(0, 150px))'
          }
          gap="4px"
          mt={board ? '10px' : '0'}
        >
          {others.map((code) => input(code, { minHeight: 42 }))}
        </chakra.div>
      )}
    </Box>
  );
}

const inputStyle = {
  '& [data-input]': {
    display: 'inline-flex',
    flexDirection: 'column',
    alignItems: 'flex-start',
    overflow: 'hidden',
    px: '4px',
    py: '2px',
    border: '1px solid',
    borderColor: 'hairline',
    borderRadius: 'edge',
    fontFamily: 'mono',
    fontStretch: '75%',
    fontSize: '12px',
    fontWeight: 600,
    lineHeight: '17px',
    whiteSpace: 'nowrap',
    textAlign: 'left',
    cursor: 'pointer',
  },
  '& span': { maxWidth: '100%', overflow: 'hidden', textOverflow: 'ellipsis' },
  '& small': {
    display: '-webkit-box',
    WebkitLineClamp: 2,
    WebkitBoxOrient: 'vertical',
    overflow: 'hidden',
    whiteSpace: 'normal',
    overflowWrap: 'normal',
    maxWidth: '100%',
    fontFamily: 'body',
    fontSize: '11px',
    fontWeight: 400,
    color: 'slate',
    fontStretch: '75%',
    lineHeight: '12px',
  },
  '& [data-state=arrived]': { bg: 'petrol.deep', borderColor: 'petrol' },
  '& [data-state=strange]': { borderColor: 'vermilion', borderStyle: 'dashed', borderWidth: '2px' },
};
