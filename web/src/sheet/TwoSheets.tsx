import { Flex, Grid } from '@chakra-ui/react';
import type { WindowMove } from '@sorn/core/engine';
import { useMemo } from 'react';
import { createStore } from 'zustand';
import { ProfileContext, deskLayout, useProfileStoreApi } from '../state/profile-context.ts';
import type { DeskState } from './moves.ts';
import { Sheet } from './Sheet.tsx';
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
      <OneSheet state={before} title={titles[0]} moves={moves} at="from" />
      <OneSheet state={after} title={titles[1]} moves={moves} at="to" />
    </Grid>
  );
}

function OneSheet(props: {
  state: DeskState;
  title: string;
  moves: readonly WindowMove[];
  at: 'from' | 'to';
}) {
  const { state, title, moves, at } = props;
  const { profile, session } = state;
  const store = useProfileStoreApi();
  const own = useMemo(
    () => createStore(() => ({ ...store.getState(), profile, session, openedWith: [] })),
    [store, profile, session],
  );
  if (session.unplugged) {
    return (
      <Flex align="center" justify="center" px="32px" textAlign="center" color="slate">
        No monitor would be connected. The session would wait as it is, and go on when one is
        plugged in.
      </Flex>
    );
  }
  return (
    <ProfileContext.Provider value={own}>
      <Sheet
        deskLayout={deskLayout(profile, session)}
        still={title}
        marks={(view) => <MoveMarks moves={moves} at={at} view={view} />}
      />
    </ProfileContext.Provider>
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
