import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useScreen } from './screen.ts';

/** On a small screen it scrolls as a whole, and a table takes no more than most of the page. */
const SMALL = {
  overflowY: 'auto',
  px: '10px',
  css: {
    '& > *': { flex: '0 0 auto' },
    '& [role=region]': { maxHeight: '70dvh' },
    '& [data-editor]': { height: '70dvh' },
  },
} as const;

/** The paper in the middle of a view where text is the work: a list above, its effect below it. */
export function Paper({ children }: { children: ReactNode }) {
  const isSmall = useScreen((screen) => screen.isSmall);
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
      {...(isSmall && SMALL)}
    >
      {children}
    </Flex>
  );
}
