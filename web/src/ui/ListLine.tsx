import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A line of a list in the inspector, one of which is selected or in force: its name, and what stands around it. */
export function ListLine(props: {
  name: string;
  isHere: boolean;
  /** What it is found by: `data-board-line="id"`. */
  data: Record<`data-${string}`, string>;
  /** Before the name. */
  before?: ReactNode;
  /** After it, at the right. */
  children?: ReactNode;
  onChoose: () => void;
}) {
  const { name, isHere } = props;
  return (
    <chakra.li
      {...props.data}
      listStyleType="none"
      display="flex"
      alignItems="center"
      gap="8px"
      px="7px"
      py="3px"
      borderLeft="3px solid"
      borderColor={isHere ? 'petrol' : 'transparent'}
      bg={isHere ? 'petrol.wash' : 'transparent'}
    >
      {props.before}
      <chakra.button
        type="button"
        aria-pressed={isHere}
        fontSize="13px"
        fontWeight={isHere ? 650 : 400}
        flex="1"
        minW="0"
        textAlign="left"
        truncate
        cursor="pointer"
        onClick={props.onChoose}
      >
        {name}
      </chakra.button>
      {props.children}
    </chakra.li>
  );
}
