import { Box, chakra, Flex } from '@chakra-ui/react';
import { useId, type ReactNode } from 'react';

/** A titled part of the inspector, ruled off with a line. */
export function Section(props: { title: string; note?: ReactNode; children: ReactNode }) {
  const id = useId();
  return (
    <Box as="section" aria-labelledby={id} mb="24px">
      <Flex align="baseline" gap="8px" borderBottom="1px solid" borderColor="ink" pb="6px" mb="8px">
        <chakra.h2 id={id} fontSize="12px" fontWeight={650} fontStretch="92%">
          {props.title}
        </chakra.h2>
        {props.note !== undefined && (
          <chakra.span color="slate" fontSize="12px" fontStretch="92%">
            {props.note}
          </chakra.span>
        )}
      </Flex>
      {props.children}
    </Box>
  );
}
