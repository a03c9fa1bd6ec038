import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** An action in a line of text. */
export function TextButton(props: {
  label?: string;
  /** Of one that shows and hides something. */
  isExpanded?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <chakra.button
      type="button"
      aria-label={props.label}
      aria-expanded={props.isExpanded}
      fontSize="12px"
      color="petrol"
      textDecoration="underline"
      cursor="pointer"
      whiteSpace="nowrap"
      _hover={{ color: 'vermilion' }}
      onClick={props.onClick}
    >
      {props.children}
    </chakra.button>
  );
}
