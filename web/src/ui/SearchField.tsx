import { chakra, Flex } from '@chakra-ui/react';
import type { Ref } from 'react';
import { KeyCap } from './KeyCap.tsx';

/** A field that limits a list while it is typed in: Enter leaves it, Escape empties it too. Its key is the slash. */
export function SearchField({
  label,
  typed,
  width = '220px',
  inputRef,
  onType,
}: {
  label: string;
  typed: string;
  width?: string;
  inputRef: Ref<HTMLInputElement>;
  onType: (text: string) => void;
}) {
  return (
    <Flex
      border="1px solid"
      borderColor="hairline"
      align="center"
      px="8px"
      height="26px"
      gap="6px"
      flex={`0 1 ${width}`}
      minW="0"
    >
      <chakra.input
        ref={inputRef}
        aria-label={label}
        placeholder={label}
        flex="1"
        minW="0"
        fontSize="13px"
        bg="transparent"
        color="ink"
        value={typed}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => onType(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') onType('');
          if (event.key === 'Escape' || event.key === 'Enter') event.currentTarget.blur();
        }}
      />
      <KeyCap>/</KeyCap>
    </Flex>
  );
}
