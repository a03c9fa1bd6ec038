import { chakra } from '@chakra-ui/react';
import type { ZoneBoard } from '@sorn/core/model';
import { zoneRects } from '@sorn/core/tiling';

/** A board, very small. */
export function ZoneBoardPicture(props: { board: ZoneBoard; width: number; height: number }) {
  const { board, width, height } = props;
  const isHigh = board.for.turned === true;
  const into = isHigh
    ? { x: (width - height * 0.6) / 2, y: 1, width: height * 0.6, height: height - 2 }
    : { x: 1, y: 1, width: width - 2, height: height - 2 };
  return (
    <chakra.svg
      width={`${width}px`}
      height={`${height}px`}
      flexShrink="0"
      aria-hidden
      css={{ '& rect': { fill: 'petrol.wash', stroke: 'petrol', strokeWidth: 1 } }}
    >
      {zoneRects(board, into, { x: 2, y: 2 }).map((rect, i) => (
        <rect key={i} {...rect} />
      ))}
    </chakra.svg>
  );
}
