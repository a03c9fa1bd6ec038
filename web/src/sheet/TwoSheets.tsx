import { Grid } from '@chakra-ui/react';
import type { WindowMove } from '@sorn/core/engine';
import type { DeskState } from './moves.ts';
import { StillSheet } from './StillSheet.tsx';
import { onSheet, type Viewport } from './viewport.ts';

/** A drawn difference: the desk before and after, with the number of its move on every window that moves. */
export function TwoSheets(props: {
  before: DeskState;
  after: DeskState;
  titles: readonly [string, string];
  moves: readonly WindowMove[];
}) {
  const { before, after, titles, moves } = props;
  return (
    <Grid templateColumns="1fr 1fr" flex="1" minH="0">
      <StillSheet
        state={before}
        title={titles[0]}
        marks={(view) => <MoveMarks moves={moves} at="from" view={view} />}
      />
      <StillSheet
        state={after}
        title={titles[1]}
        marks={(view) => <MoveMarks moves={moves} at="to" view={view} />}
      />
    </Grid>
  );
}

/** Draws the number of its move on every window shown here. */
function MoveMarks(props: { moves: readonly WindowMove[]; at: 'from' | 'to'; view: Viewport }) {
  return props.moves.map((move, i) => {
    const placement = move[props.at];
    if (!placement.shown) return null;
    const { x, y } = onSheet(props.view, placement);
    return (
      <g key={move.window} data-move={move.window}>
        <circle cx={x} cy={y} r={9} className="move-mark" />
        <text x={x} y={y + 4} className="move-number">
          {i + 1}
        </text>
      </g>
    );
  });
}
