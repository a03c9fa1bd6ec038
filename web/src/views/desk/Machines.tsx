import { chakra } from '@chakra-ui/react';
import { countOtherwise } from '@sorn/core/model';
import { countText } from '@sorn/core/values';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import type { useMachine } from '../../state/machine.ts';
import { useProfileStore } from '../../state/profile-context.ts';

/** The machines on which something is otherwise: which one this is, and how much of the profile they change. */
export function Machines({ machine }: { machine: ReturnType<typeof useMachine> }) {
  const machines = useProfileStore((state) => state.profile.machines);
  return (
    <Section title="Machines" note="by host name">
      {machines.length === 0 && (
        <chakra.p fontSize="12px" color="slate" overflowWrap="anywhere">
          All are alike. This one is {machine.host}: what is set for it alone stands here.
        </chakra.p>
      )}
      <chakra.ul>
        {machines.map((each) => (
          <chakra.li
            key={each.host}
            display="flex"
            alignItems="baseline"
            gap="8px"
            py="2px"
            data-machine-line={each.host}
          >
            <chakra.span fontSize="13px" flex="1" minW="0" truncate title={each.host}>
              {each.host}
              {each === machine.machine && ' (this one)'}
            </chakra.span>
            <chakra.span fontSize="12px" color="slate">
              {countText(countOtherwise(each), 'setting')} otherwise
            </chakra.span>
            <TextButton
              label={`Make ${each.host} as all others`}
              onClick={() => machine.drop(each.host)}
            >
              drop
            </TextButton>
          </chakra.li>
        ))}
      </chakra.ul>
    </Section>
  );
}
