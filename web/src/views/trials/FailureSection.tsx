import { chakra, Flex } from '@chakra-ui/react';
import { countText } from '@sorn/core/values';
import type { WatchedTrial } from '../../state/trial-watch.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';

/** Why a trial fails: the shortest case, the orders, and what was tried and mends it. */
export function FailureSection(props: {
  watched: WatchedTrial;
  isLooking: boolean;
  isShort: boolean;
  onShow: (which: 'written' | 'failing') => void;
  onMend: (number: number) => void;
}) {
  const { watched, isLooking, isShort } = props;
  const failure = watched.report?.failure;
  if (isLooking || !failure) {
    return (
      <Section title="Why it fails">
        <chakra.p fontSize="12.5px" color="slate" role="status">
          {isLooking
            ? 'Looking for the shortest case in which it fails …'
            : 'All tries hold that were done.'}
        </chakra.p>
      </Section>
    );
  }
  const { expected, found, steps, desk, orders, fixes } = failure;
  return (
    <Section
      title="Why it fails"
      note={`in ${countText(watched.result?.failed.length ?? 0, 'try', 'tries')}`}
    >
      <chakra.p fontSize="13px" fontWeight={600} data-failure={expected}>
        {expected}
      </chakra.p>
      <chakra.p fontSize="13px" color="vermilion" fontWeight={600}>
        {found}
      </chakra.p>
      <chakra.p fontSize="12.5px" mt="6px" color="slate" data-shortest={steps.length}>
        {desk !== null && `On desk ${desk}. `}
        {steps.length === 0
          ? 'It fails before anything is done.'
          : `It takes ${steps.length === 1 ? 'one step' : `${steps.length} steps`}: ${steps.join(', ')}.`}
      </chakra.p>
      {orders.map((order) => (
        <chakra.p
          key={order}
          fontSize="12.5px"
          mt="6px"
          _firstLetter={{ textTransform: 'uppercase' }}
          data-orders
        >
          {order}
        </chakra.p>
      ))}
      <Flex align="baseline" gap="6px" fontSize="12.5px" mt="6px">
        <KeyCap>V</KeyCap>
        <TextButton onClick={() => props.onShow(isShort ? 'written' : 'failing')}>
          {isShort ? 'the trial as it is written' : 'the shortest case'}
        </TextButton>
      </Flex>
      {fixes.map(({ says, held, tries }, i) => (
        <Flex
          key={says}
          align="baseline"
          gap="6px"
          fontSize="12.5px"
          mt="8px"
          data-fix={i}
          data-fix-held={`${held} of ${tries}`}
        >
          <KeyCap>{i === 0 ? 'M' : 'Shift M'}</KeyCap>
          <span>
            <TextButton onClick={() => props.onMend(i)}>Mend it</TextButton> by {says} Then{' '}
            {held.toLocaleString('en')} of {tries.toLocaleString('en')}{' '}
            {tries === 1 ? 'try holds' : 'tries hold'}.
          </span>
        </Flex>
      ))}
      {fixes.length === 0 && (
        <chakra.p fontSize="12.5px" mt="8px" color="slate">
          No change of one thing that Sorn knows of mends it.
        </chakra.p>
      )}
    </Section>
  );
}
