import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The paper in the middle of a view where text is the work: a list above, its effect below it. */
export function Paper({ children }: { children: ReactNode }) {
  return (
    <Flex
      direction="column"
      height="100%"
      bg="sheet"
      border="1px solid"
      borderColor="hairline"
      px="18px"
      py="12px"
      gap="16px"
    >
      {children}
    </Flex>
  );
}
