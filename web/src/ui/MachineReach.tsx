import { chakra, Flex } from '@chakra-ui/react';
import { KeyCap } from './KeyCap.tsx';
import { Section } from './Section.tsx';
import { Choice } from './SettingRow.tsx';

/** Where a value comes from that this machine has otherwise. */
export const ON_THIS_MACHINE = 'on this machine';

interface Reach {
  /** The host name of this machine. */
  host: string;
  /** Edits reach this machine alone. */
  isHere: boolean;
  onChange: (isHere: boolean) => void;
}

/** How far an edit reaches of what a machine can have otherwise: every machine, or this one alone. */
export function MachineReachChoice({ isHere, onChange }: Omit<Reach, 'host'>) {
  return (
    <Choice
      label="On which machines an edit holds"
      value={isHere ? 'here' : 'every'}
      options={[
        { value: 'every', text: 'Every machine' },
        { value: 'here', text: 'This machine' },
      ]}
      onChange={(value) => onChange(value === 'here')}
    />
  );
}

/** The same in a section of its own, with its key and what it means. */
export function MachineReach(props: Reach & { cap: string; of: string }) {
  const { host, isHere, of } = props;
  return (
    <Section
      title="Set for"
      note={
        <Flex as="span" display="inline-flex" gap="6px">
          <KeyCap>{props.cap}</KeyCap>
        </Flex>
      }
    >
      <MachineReachChoice {...props} />
      <chakra.p fontSize="12px" color="slate" mt="6px" overflowWrap="anywhere">
        {isHere
          ? `An edit of ${of} holds on ${host} alone.`
          : `An edit of ${of} holds on every machine; what ${host} has otherwise is changed there.`}
      </chakra.p>
    </Section>
  );
}
