import { chakra, Flex } from '@chakra-ui/react';
import { TwoSheets } from '../../sheet/TwoSheets.tsx';
import { useMoves, type DeskState } from '../../sheet/moves.ts';

/** What a change does to every window, drawn before and after, in a fixed height below a list. */
export function Difference(props: {
  before: DeskState;
  after: DeskState;
  titles: readonly [string, string];
}) {
  const moves = useMoves(props.before, props.after);
  return (
    <Flex direction="column" flex="1" minH="264px" data-moves={moves.length}>
      <chakra.p fontSize="12px" color="slate" mb="4px">
        {moves.length === 0
          ? 'On the desk as it is now, no window would stand elsewhere.'
          : `On the desk as it is now, ${moves.length === 1 ? 'one window stands' : `${moves.length} windows stand`} elsewhere.`}
      </chakra.p>
      <TwoSheets {...props} moves={moves} />
    </Flex>
  );
}
