import { chakra } from '@chakra-ui/react';
import { handKeys, type StarterId } from '@sorn/core';

const HEIGHT = 160;

/** A keyboard on which the keys of a hand stand out. */
export function HandDrawing({ hand }: { hand: StarterId }) {
  const { board, codes } = handKeys(hand);
  return (
    <chakra.svg
      width="100%"
      height={`${HEIGHT}px`}
      viewBox={`-0.1 -0.1 ${board.width + 0.2} ${board.height + 0.2}`}
      aria-hidden
    >
      {board.keys.map(({ code, x, y, width, height }) => {
        const name = codes.get(code);
        return (
          <g key={code}>
            <chakra.rect
              x={x + 0.05}
              y={y + 0.05}
              width={width - 0.1}
              height={height - 0.1}
              fill={name === undefined ? 'none' : 'petrol'}
              stroke={name === undefined ? 'hairline' : 'petrol'}
              strokeWidth="1px"
              vectorEffect="non-scaling-stroke"
            />
            {name !== undefined && (
              <chakra.text
                x={x + width / 2}
                y={y + height / 2 + 0.22}
                textAnchor="middle"
                fontSize="0.62px"
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
