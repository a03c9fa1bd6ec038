import { chakra } from '@chakra-ui/react';
import type { KeyStarterId } from '@sorn/core/model';
import { handKeys } from '@sorn/core/starters';
import { DrawnArrow, isArrow } from '../../ui/arrows.tsx';

const HEIGHT = 118;
/** A key's width in the drawing's own units, about a pixel each. */
const KEY = 26;

/** A keyboard on which the keys of a hand stand out. */
export function HandDrawing({ hand }: { hand: KeyStarterId }) {
  const { board, codes } = handKeys(hand);
  return (
    <chakra.svg
      width="100%"
      height={`${HEIGHT}px`}
      viewBox={`-2 -2 ${board.width * KEY + 4} ${board.height * KEY + 4}`}
      aria-hidden
    >
      {board.keys.map(({ code, x, y, width, height }) => {
        const name = codes.get(code);
        return (
          <g key={code}>
            <chakra.rect
              x={x * KEY + 1}
              y={y * KEY + 1}
              width={width * KEY - 2}
              height={height * KEY - 2}
              fill={name === undefined ? 'none' : 'petrol'}
              stroke={name === undefined ? 'hairline' : 'petrol'}
              strokeWidth="1px"
              vectorEffect="non-scaling-stroke"
            />
            {name !== undefined && isArrow(name) && (
              <chakra.g stroke="petrol.contrast">
                <DrawnArrow
                  text={name}
                  x={(x + width / 2) * KEY}
                  y={(y + height / 2) * KEY}
                  size={13}
                />
              </chakra.g>
            )}
            {name !== undefined && !isArrow(name) && (
              <chakra.text
                x={(x + width / 2) * KEY}
                y={(y + height / 2) * KEY + 5}
                textAnchor="middle"
                fontSize="15px"
                fontFamily="mono"
                fill="petrol.contrast"
              >
                {name}
              </chakra.text>
            )}
          </g>
        );
      })}
    </chakra.svg>
  );
}
