import { chakra, Flex } from '@chakra-ui/react';
import { KeyCap } from './KeyCap.tsx';
import { TextButton } from './TextButton.tsx';

/** Something that can be done here: its key, what it is called, and what it does. */
export function Action(props: { cap: string; text: string; says?: string; onClick: () => void }) {
  return (
    <Flex gap="8px" align="baseline" minH="28px" fontSize="13px">
      <KeyCap>{props.cap}</KeyCap>
      <TextButton onClick={props.onClick}>{props.text}</TextButton>
      {props.says !== undefined && <chakra.span color="slate">{props.says}</chakra.span>}
    </Flex>
  );
}
