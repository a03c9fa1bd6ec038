import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The line above a list or a drawing: its pages, what it is, and the keys for it. What has no room goes to a line more. */
export function Bar(props: {
  /** Right below it begins what it is about. */
  isHead?: boolean;
  children: ReactNode;
}) {
  return (
    <Flex
      align="center"
      columnGap="10px"
      rowGap="6px"
      wrap="wrap"
      pb={props.isHead ? '6px' : '0'}
      fontSize="13px"
      color="slate"
    >
      {props.children}
    </Flex>
  );
}
