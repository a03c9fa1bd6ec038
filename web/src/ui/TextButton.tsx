import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** An action in a line of text. */
export function TextButton(props: {
  /** What it is about, where its text alone does not tell. */
  label?: string;
  /** Of one that shows and hides something. */
  isExpanded?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  const { label, children } = props;
  // Who speaks to the page says what stands on the button.
  const name =
    label !== undefined && typeof children === 'string' && !label.includes(children)
      ? `${label}: ${children}`
      : label;
  return (
    <chakra.button
      type="button"
      aria-label={name}
      aria-expanded={props.isExpanded}
      fontSize="12px"
      color="petrol"
      textDecoration="underline"
      cursor="pointer"
      whiteSpace="nowrap"
      _hover={{ color: 'vermilion' }}
      onClick={props.onClick}
    >
      {children}
    </chakra.button>
  );
}
