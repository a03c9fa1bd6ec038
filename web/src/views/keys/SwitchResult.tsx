import { chakra, Flex } from '@chakra-ui/react';
import { countText } from '@sorn/core/values';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import type { useSwitchTrial } from './switch-trial.ts';

/** Whether a device with several profiles of its own sends what it should after each switch of them. */
export function SwitchResult(props: {
  switching: ReturnType<typeof useSwitchTrial>;
  nameOf: (code: string) => string;
}) {
  const { switching, nameOf } = props;
  const { rounds, at, missed, isOn } = switching;
  const round = rounds[at];
  const done = rounds.filter(({ came }) => came !== null).length;
  return (
    <Section title="Its own profiles" note={rounds.length > 0 ? `${done} of ${rounds.length}` : ''}>
      {isOn && round ? (
        <chakra.p role="status" fontSize="13px" data-round={at} data-expects={round.input}>
          Switch the device to its profile {round.profile}, then press <b>{nameOf(round.input)}</b>.
          Nothing came: <KeyCap>Enter</KeyCap>
        </chakra.p>
      ) : (
        <Flex gap="6px" align="center" fontSize="13px">
          <KeyCap>H</KeyCap>
          <TextButton onClick={switching.begin}>
            prove them: twenty switches, a press each
          </TextButton>
        </Flex>
      )}
      {!isOn && done > 0 && (
        <chakra.p role="status" fontSize="13px" mt="6px" data-missed={missed.length}>
          {missed.length === 0
            ? `All of ${countText(done, 'press', 'presses')} came.`
            : `${countText(missed.length, 'press', 'presses')} of ${done} never came: ${missed
                .map(({ profile, input }) => `${nameOf(input)} in profile ${profile}`)
                .join(', ')}.`}
        </chakra.p>
      )}
    </Section>
  );
}
