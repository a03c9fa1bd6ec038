import { Box, chakra, Flex } from '@chakra-ui/react';
import type { TryStep } from '@sorn/core/simulate';
import { memo } from 'react';
import { useScrollIntoView } from '../../ui/scroll-into-view.ts';
import { Pennant } from './TrialList.tsx';

/** A step with what is expected after it; the first column is the desk that it begins on. */
interface StripColumn {
  /** Its place among the things of the try; -1 for the beginning. */
  at: number;
  text: string;
  flags: readonly { at: number; text: string; isFailed: boolean }[];
}

function columnsOf(steps: readonly TryStep[]): StripColumn[] {
  const columns: { at: number; text: string; flags: StripColumn['flags'][number][] }[] = [
    { at: -1, text: 'It begins', flags: [] },
  ];
  steps.forEach(({ text, expectation, failure }, at) => {
    if (expectation) columns.at(-1)!.flags.push({ at, text, isFailed: failure !== null });
    else columns.push({ at, text, flags: [] });
  });
  return columns;
}

/** A try as a strip of numbered steps, what is expected after each hanging beneath it as flags. */
export const StepStrip = memo(function StepStrip(props: {
  steps: readonly TryStep[];
  /** The place of what is selected; -1 for the beginning. */
  selected: number;
  /** Steps in any order, by their places: the first and the last of each group. */
  groups: readonly (readonly [number, number])[];
  onSelect: (at: number) => void;
}) {
  const { steps, selected, groups, onSelect } = props;
  return (
    <Flex
      role="region"
      aria-label="Steps"
      tabIndex={0}
      overflowX="auto"
      overflowY="auto"
      maxH="132px"
      flexShrink="0"
      pb="4px"
    >
      {columnsOf(steps).map((column, number) => (
        <Column
          key={column.at}
          column={column}
          number={number}
          selected={selected}
          isInGroup={groups.some(([first, last]) => column.at >= first && column.at <= last)}
          onSelect={onSelect}
        />
      ))}
    </Flex>
  );
});

function Column(props: {
  column: StripColumn;
  number: number;
  selected: number;
  isInGroup: boolean;
  onSelect: (at: number) => void;
}) {
  const { column, number, selected, isInGroup, onSelect } = props;
  const isHere = column.at === selected;
  const isIn = isHere || column.flags.some(({ at }) => at === selected);
  // A flag that is selected brings itself into sight.
  const inSight = useScrollIntoView<HTMLDivElement>(isHere);
  return (
    <Box
      ref={inSight}
      flex="0 0 auto"
      minW="92px"
      maxW="216px"
      borderRight="1px solid"
      borderColor="hairline"
      borderTop="3px solid"
      borderTopColor={isInGroup ? 'ochre' : isIn ? 'petrol' : 'hairline'}
    >
      <chakra.button
        type="button"
        display="flex"
        alignItems="baseline"
        gap="6px"
        width="100%"
        px="8px"
        py="5px"
        textAlign="left"
        cursor="pointer"
        bg={isHere ? 'petrol.wash' : 'transparent'}
        aria-pressed={isHere}
        data-step={column.at}
        title={column.text}
        onClick={() => onSelect(column.at)}
      >
        <chakra.span fontFamily="mono" fontSize="11px" fontWeight={600} color="slate">
          {number}
        </chakra.span>
        <chakra.span fontSize="12.5px" fontWeight={600} truncate minW="0">
          {column.text}
        </chakra.span>
      </chakra.button>
      {column.flags.map((flag) => (
        <Flag key={flag.at} flag={flag} isHere={flag.at === selected} onSelect={onSelect} />
      ))}
    </Box>
  );
}

function Flag(props: {
  flag: StripColumn['flags'][number];
  isHere: boolean;
  onSelect: (at: number) => void;
}) {
  const { isHere, onSelect } = props;
  const { at, text, isFailed } = props.flag;
  const inSight = useScrollIntoView<HTMLButtonElement>(isHere);
  return (
    <chakra.button
      ref={inSight}
      type="button"
      display="flex"
      alignItems="baseline"
      gap="5px"
      width="100%"
      pl="14px"
      pr="8px"
      py="2px"
      textAlign="left"
      fontSize="12px"
      cursor="pointer"
      color={isFailed ? 'vermilion' : 'slate'}
      fontWeight={isFailed ? 650 : 400}
      bg={isHere ? 'petrol.wash' : 'transparent'}
      aria-pressed={isHere}
      data-step={at}
      data-flag={isFailed ? 'failed' : 'held'}
      title={text}
      onClick={() => onSelect(at)}
    >
      <Pennant isFailed={isFailed} />
      <chakra.span truncate minW="0">
        {text}
      </chakra.span>
    </chakra.button>
  );
}
