import { Box, Button, chakra, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { ANSWERS, usePageKeys } from '../../ui/page-keys.ts';
import { tableStyle } from '../../ui/table-style.ts';
import type { Replaced, Restoring } from '@sorn/api';
import { dateText } from '../../ui/date-text.ts';

/** What a restore would replace, profile by profile, before it is done. */
export function RestoreQuestion(props: {
  name: string;
  restoring: Restoring;
  onTake: () => void;
  onLeave: () => void;
}) {
  const { name, restoring, onTake, onLeave } = props;
  usePageKeys(ANSWERS, [
    { keys: ['Enter'], caps: ['Enter'], label: 'restore it', run: onTake },
    { keys: ['Escape'], caps: ['Esc'], label: 'leave it', run: onLeave },
  ]);
  // Enter answers here, whatever had the focus before.
  const region = useRef<HTMLDivElement>(null);
  useEffect(() => region.current?.focus(), []);
  const state = (of: { revision: number; savedAt: string } | null) =>
    of ? `revision ${of.revision}, ${dateText(of.savedAt)}` : '—';
  return (
    <Flex
      ref={region}
      tabIndex={-1}
      outline="none"
      direction="column"
      gap="12px"
      flex="1"
      minH="0"
      role="region"
      aria-label="What a restore would replace"
    >
      <Flex align="center" gap="12px">
        <chakra.h2 fontSize="14px" fontWeight={650} flex="1" minW="0" overflowWrap="anywhere">
          Restore {name}, made {dateText(restoring.madeAt)}?
        </chakra.h2>
        <Button size="xs" borderRadius="edge" onClick={onTake}>
          Restore <KeyCap>Enter</KeyCap>
        </Button>
        <Button size="xs" variant="outline" borderRadius="edge" onClick={onLeave}>
          Leave it <KeyCap>Esc</KeyCap>
        </Button>
      </Flex>
      <chakra.p fontSize="13px" color="slate">
        All that is here gives way to it, and is kept as a backup first: the restore can be undone.
      </chakra.p>
      <Box flex="1" minH="0" overflow="auto" tabIndex={0} role="region" aria-label="Profiles">
        <chakra.table width="100%" fontSize="12.5px" css={tableStyle}>
          <thead>
            <tr>
              <th>Profile</th>
              <th>Here now</th>
              <th>In the backup</th>
              <th>Becomes</th>
            </tr>
          </thead>
          <tbody>
            {restoring.profiles.map((profile) => (
              <tr key={profile.id} data-replaced={profile.id}>
                <chakra.td fontWeight={600}>{profile.name}</chakra.td>
                <td>{state(profile.here)}</td>
                <td>{state(profile.backup)}</td>
                <chakra.td color={profile.isSame ? 'slate' : 'vermilion'} fontWeight={600}>
                  {becomes(profile)}
                </chakra.td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Flex>
  );
}

function becomes({ here, backup, isSame }: Replaced): string {
  if (isSame) return 'stays as it is';
  if (!backup) return 'goes';
  return here ? 'as in the backup' : 'comes back';
}
