import { chakra, Flex } from '@chakra-ui/react';
import { deviceName, freeInputsOf, keyMap } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { memo } from 'react';
import { Section } from '../../ui/Section.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';

/** How many inputs of each device have bindings. */
export const DeviceSummary = memo(function DevicesInShort({ profile }: { profile: Profile }) {
  const used = new Set(
    keyMap(profile).flatMap(({ trigger }) => trigger.steps.flatMap(({ code }) => code ?? [])),
  );
  return (
    <Section title="Devices" note="inputs with bindings">
      {profile.keys.devices.map((device) => {
        const inputs = freeInputsOf(device);
        return (
          <Flex key={device.id} justify="space-between" fontSize="13px" minH="26px" align="center">
            {deviceName(device)}
            <chakra.span fontFamily="mono" fontStretch="88%" fontSize="12px" fontWeight={600}>
              {inputs.filter((code) => used.has(code)).length} of {inputs.length}
            </chakra.span>
          </Flex>
        );
      })}
      <chakra.p fontSize="12px" color="slate" mt="6px">
        <KeyCap>D</KeyCap> tries and declares them, <KeyCap>S</KeyCap> suggests keys for the least
        reach.
      </chakra.p>
    </Section>
  );
});
