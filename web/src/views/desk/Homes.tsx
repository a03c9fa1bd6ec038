import { Box, chakra, Flex } from '@chakra-ui/react';
import { monitorName, ROLES } from '@sorn/core';
import { Section } from '../../app/Section.tsx';
import { Select } from '../../app/Select.tsx';
import { useBench, type PlacedDesk } from '../../data/bench-context.ts';
import type { DeskEdits } from './edits.ts';

/** The home of each workspace, by name or by role, and where that is now. */
export function Homes({ placed, edits }: { placed: PlacedDesk; edits: DeskEdits }) {
  const profile = useBench((bench) => bench.profile);
  const { desk } = placed;
  const fromLeft = edits.standing.map((_, i) => `from-left-${i + 1}`);
  return (
    <Section title="Homes" note="by name, or by role for any desk">
      {profile.workspaces.length === 0 && (
        <chakra.p fontSize="12px" color="slate">
          The profile names no workspaces: each monitor has one, called by a number.
        </chakra.p>
      )}
      {profile.workspaces.map(({ id, name, monitor: home = '' }) => {
        const now = desk.workspaces.find((workspace) => workspace.id === id);
        const options = [
          { value: '', text: 'the primary (not set)' },
          ...profile.monitors.map((each) => ({ value: each.id, text: each.name ?? each.id })),
          ...[...ROLES, ...fromLeft].map((role) => ({ value: role, text: `the ${role}` })),
        ];
        const isListed = options.some(({ value }) => value === home);
        return (
          <Box key={id} py="3px" data-home={id}>
            <Flex align="center" gap="8px">
              <chakra.span fontFamily="mono" fontSize="12px" fontWeight={600} width="18px">
                {id}
              </chakra.span>
              <chakra.span fontSize="13px" flex="1" minW="0" truncate>
                {name === id ? '' : name}
              </chakra.span>
              <Select
                label={`Home of workspace ${id}`}
                value={home}
                options={isListed ? options : [...options, { value: home, text: home }]}
                onChange={(which) => edits.setHome(id, which)}
              />
            </Flex>
            {now && now.monitor !== home && (
              <chakra.p fontSize="12px" color="slate" pl="26px">
                now on {monitorName(profile, now.monitor)}: {now.because}
              </chakra.p>
            )}
          </Box>
        );
      })}
    </Section>
  );
}
