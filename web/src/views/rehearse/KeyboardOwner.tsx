import { chakra, Flex } from '@chakra-ui/react';
import { keyName } from '@sorn/core';
import { KeyCap } from '../../app/KeyCap.tsx';
import { useBench } from '../../data/bench-context.ts';

/** Says which of the two has the keyboard, and which key changes that. */
export function KeyboardOwner({ isGiven }: { isGiven: boolean }) {
  const { handBack, standIn, main } = useBench((bench) => bench.profile.keys);
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
    >
      {isGiven ? 'The sheet has the keyboard' : 'The page has the keyboard'}
      <KeyCap>{isGiven ? keyName(handBack) : 'Enter'}</KeyCap>
      <chakra.span fontWeight={400}>
        {isGiven ? 'gives it back' : 'gives it to the sheet'}
        {isGiven && standIn !== main && `; ${standIn} stands in for ${main}`}
      </chakra.span>
    </Flex>
  );
}
