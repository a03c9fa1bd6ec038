import { Box, chakra, Flex } from '@chakra-ui/react';
import { monitorName } from '@sorn/core/desk';
import { windowName, windowOf, type WindowMove } from '@sorn/core/engine';
import { useEffect, useRef } from 'react';
import { KeyCap } from '../ui/KeyCap.tsx';
import { ANSWERS, usePageKeys } from '../ui/page-keys.ts';
import { useProfileStoreApi } from '../state/profile-context.ts';
import { useProposal, type Proposal } from '../state/proposal.ts';
import { TwoSheets } from './TwoSheets.tsx';
import { useMoves } from './moves.ts';

/** What would become of every window: the desk as it is and as it would be, and the moves in words. */
export function ProposalPanel({ proposal }: { proposal: Proposal }) {
  const { take, drop } = useProposal.use().getState();
  const store = useProfileStoreApi();
  usePageKeys(ANSWERS, [
    { keys: ['Enter'], caps: ['Enter'], label: 'do it', run: take },
    { keys: ['Escape'], caps: ['Esc'], label: 'leave it as it is', run: drop },
  ]);
  // Enter answers here, whatever had the focus before.
  const region = useRef<HTMLDivElement>(null);
  useEffect(() => region.current?.focus(), []);
  const now = store.getState();
  const moves = useMoves(now, proposal);

  return (
    <Flex
      ref={region}
      tabIndex={-1}
      outline="none"
      direction="column"
      height="100%"
      bg="sheet"
      border="1.5px solid"
      borderColor="vermilion"
      role="region"
      aria-label="What would happen"
    >
      <Flex align="center" gap="14px" px="14px" py="8px" borderBottom="1px solid" borderColor="ink">
        <chakra.h2 fontSize="14px" fontWeight={650} flex="1" minW="0">
          {proposal.title}?
        </chakra.h2>
        <Answer cap="Enter" text="Do it" isMain onClick={take} />
        <Answer cap="Esc" text="Leave it" onClick={drop} />
      </Flex>
      <TwoSheets before={now} after={proposal} titles={['Now', 'Then']} moves={moves} />
      <MoveList moves={moves} proposal={proposal} />
    </Flex>
  );
}

function Answer(props: { cap: string; text: string; isMain?: boolean; onClick: () => void }) {
  return (
    <chakra.button
      type="button"
      display="flex"
      alignItems="center"
      gap="7px"
      fontSize="13px"
      fontWeight={props.isMain ? 650 : 400}
      color={props.isMain ? 'vermilion' : 'ink'}
      cursor="pointer"
      onClick={props.onClick}
    >
      <KeyCap>{props.cap}</KeyCap>
      {props.text}
    </chakra.button>
  );
}

function MoveList({ moves, proposal }: { moves: readonly WindowMove[]; proposal: Proposal }) {
  const { profile, session } = proposal;
  const place = ({ monitor, workspace, shown, width, height }: WindowMove['from']) =>
    `${monitorName(profile, monitor)}, ${workspace}, ${shown ? `${width} × ${height}` : 'not shown'}`;
  return (
    <Box
      maxHeight="212px"
      minHeight="76px"
      flexShrink="0"
      overflowY="auto"
      borderTop="1px solid"
      borderColor="ink"
      px="14px"
      py="8px"
      tabIndex={0}
      role="region"
      aria-label="Moves"
    >
      {moves.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          No window would be elsewhere.
        </chakra.p>
      )}
      <chakra.table
        width="100%"
        fontSize="12px"
        css={{
          borderCollapse: 'collapse',
          '& td, & th': { textAlign: 'left', verticalAlign: 'baseline', py: '3px', pr: '12px' },
          '& th': { color: 'slate', fontWeight: 400 },
        }}
      >
        {moves.length > 0 && (
          <thead>
            <tr>
              <th aria-label="Number" />
              <th>Window</th>
              <th>Now</th>
              <th>Then</th>
              <th>Because</th>
            </tr>
          </thead>
        )}
        <tbody>
          {moves.map((move, i) => {
            const window = windowOf(session, move.window)!;
            return (
              <tr key={move.window} data-moves={move.window}>
                <chakra.td fontFamily="mono" fontWeight={600}>
                  {i + 1}
                </chakra.td>
                <chakra.td fontWeight={600}>{windowName(profile, window)}</chakra.td>
                <td>{place(move.from)}</td>
                <td>{proposal.session.unplugged ? 'waits' : place(move.to)}</td>
                <chakra.td color="slate">{move.because}</chakra.td>
              </tr>
            );
          })}
        </tbody>
      </chakra.table>
    </Box>
  );
}
