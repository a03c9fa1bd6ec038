import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** What lies over the upper middle of the sheet for as long as something is chosen. */
export function SheetOverlay(props: { head: ReactNode; children: ReactNode; width?: number }) {
  const { width = 420 } = props;
  return (
    <Box
      position="absolute"
      top="84px"
      left="50%"
      width={`${width}px`}
      ml={`${-width / 2}px`}
      bg="sheet"
      border="1.5px solid"
      borderColor="ink"
      boxShadow="0 6px 18px var(--sorn-colors-shade)"
      onClick={(event) => event.stopPropagation()}
    >
      <Box px="14px" py="8px" borderBottom="1px solid" borderColor="ink">
        {props.head}
      </Box>
      {props.children}
    </Box>
  );
}
