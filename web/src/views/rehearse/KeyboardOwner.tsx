import { interactionOf } from '@sorn/core/model';
import { chakra, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import { countText, keyName } from '@sorn/core/values';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import type { Locked } from './full-screen.ts';

/** Says which of the two has the keyboard, and which key changes that. */
export const KeyboardOwner = memo(function KeyboardOwner(props: {
  isGiven: boolean;
  locked: Locked;
}) {
  const { isGiven, locked } = props;
  const { handBack, standIn, main, legends } = useProfileStore((state) => state.profile.keys);
  const shaping = useProfileStore((state) => interactionOf(state.session, 'shaping'));
  const past = useProfileStore(
    ({ looking, moments }) => looking !== null && moments.length - 1 - looking,
  );
  return (
    <Flex
      role="status"
      align="center"
      gap="8px"
      px="10px"
      height="30px"
      fontSize="13px"
      fontWeight={600}
      bg={isGiven ? 'vermilion' : 'sheet'}
      color={isGiven ? 'petrol.contrast' : 'ink'}
      border="1px solid"
      borderBottom="none"
      borderColor={isGiven ? 'vermilion' : 'hairline'}
      flexShrink="0"
      whiteSpace="nowrap"
    >
      {past !== false ? (
        <>
          The desk as it was {past === 1 ? 'a step' : `${past} steps`} ago
          <KeyCap>Enter</KeyCap>
          <chakra.span fontWeight={400}>goes on from here</chakra.span>
          <KeyCap>{'}'}</KeyCap>
          <chakra.span fontWeight={400}>back to the present</chakra.span>
        </>
      ) : (
        <>
          {isGiven ? 'The sheet has the keyboard' : 'The page has the keyboard'}
          <KeyCap>{isGiven ? keyName(handBack, legends) : 'Enter'}</KeyCap>
          <chakra.span fontWeight={400}>
            {isGiven ? 'gives it back' : 'gives it to the sheet'}
            {isGiven &&
              !shaping &&
              standIn !== main &&
              locked !== 'locked' &&
              `; ${standIn} stands in for ${main}`}
            {isGiven && LOCKED[locked]}
            {shaping &&
              `; shaping: arrows size it, with Shift they move it; ${stepsText(shaping.steps)}`}
          </chakra.span>
        </>
      )}
    </Flex>
  );
});

const LOCKED: Record<Locked, string> = {
  no: '',
  'full-screen': '; full screen',
  locked: '; full screen, every key comes here',
};

function stepsText(steps: number): string {
  return `${countText(steps, 'step')} so far`;
}
