import { chakra, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import { useLive } from '../../state/live-store.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';

const SAYS: Readonly<Record<string, string>> = {
  waiting: 'The agent is not there; it is started again. This is how the desk stood',
  stopped: 'The agent is stopped. This is how the desk stood',
  out: 'The engine is out of the way: every window is where it was before it came',
  paused: 'Keys are pressed on the real machine; the engine is paused',
  running: 'Keys are pressed on the real machine; commands come from find anything, too',
};

/** Over the live desk: where its keys are pressed, and what can be done with it from here. */
export const LiveLine = memo(function LiveLine() {
  const state = useLive(({ about }) => about?.state ?? 'waiting');
  const past = useProfileStore(
    ({ looking, moments }) => looking !== null && moments.length - 1 - looking,
  );
  const isWell = state === 'running' || state === 'paused';
  return (
    <Flex
      role="status"
      align="center"
      gap="8px"
      px="10px"
      height="30px"
      fontSize="13px"
      fontWeight={600}
      bg="sheet"
      color={isWell || past !== false ? 'ink' : 'vermilion'}
      border="1px solid"
      borderBottom="none"
      borderColor={isWell ? 'petrol' : 'vermilion'}
      flexShrink="0"
      whiteSpace="nowrap"
      overflow="hidden"
      data-live-line={state}
    >
      {past !== false ? (
        <>
          The live desk as it was {past === 1 ? 'a step' : `${past} steps`} ago; it goes on
          <KeyCap>{'}'}</KeyCap>
          <chakra.span fontWeight={400}>back to the present</chakra.span>
        </>
      ) : (
        <>
          {SAYS[state]}
          <KeyCaps caps={['Shift', 'R']} />
          <chakra.span fontWeight={400} truncate>
            rehearse this
          </chakra.span>
        </>
      )}
    </Flex>
  );
});
