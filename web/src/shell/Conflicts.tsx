import { Box, Button, chakra, Flex } from '@chakra-ui/react';
import { conflictId, conflictWords, type Conflict } from '@sorn/core/files';
import { useState } from 'react';
import { useProfileStore, useProfileStoreApi } from '../state/profile-context.ts';
import type { Conflicting } from '../state/remote-merge.ts';
import { KeyCap } from '../ui/KeyCap.tsx';
import { Panel, usePanelKeys } from '../ui/Panel.tsx';
import { Choice } from '../ui/SettingRow.tsx';
import { tableStyle } from '../ui/table-style.ts';

type Side = 'mine' | 'theirs';

const SIDES = [
  { value: 'mine', text: 'this window' },
  { value: 'theirs', text: 'the other' },
] as const;

/** What was changed here and in another window to something else: field by field, until it is decided. */
export function Conflicts({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const conflicting = useProfileStore((state) => state.conflicting);
  if (!conflicting) return null;
  return (
    <Panel
      title="Changed here and in another window"
      isOpen={isOpen}
      onClose={onClose}
      width="760px"
    >
      <ConflictTable key={conflicting.theirs.revision} conflicting={conflicting} />
    </Panel>
  );
}

function ConflictTable({ conflicting }: { conflicting: Conflicting }) {
  const { conflicts } = conflicting;
  const profile = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const [sides, setSides] = useState<readonly Side[]>(() => conflicts.map(() => 'mine'));
  const [at, setAt] = useState(0);
  const choose = (row: number, side: Side) =>
    setSides(sides.map((each, i) => (i === row ? side : each)));
  const take = () =>
    store
      .getState()
      .resolveConflicts(new Map(conflicts.map((conflict, i) => [conflictId(conflict), sides[i]!])));
  usePanelKeys((key) => {
    switch (key) {
      case 'arrowdown':
      case 'arrowup': {
        const to = at + (key === 'arrowdown' ? 1 : -1);
        setAt(Math.min(conflicts.length - 1, Math.max(0, to)));
        return true;
      }
      case 't':
      case 'o':
        choose(at, key === 't' ? 'mine' : 'theirs');
        return true;
      case 'enter':
        take();
        return true;
      default:
        return false;
    }
  });
  return (
    <>
      <chakra.p fontSize="13px" color="slate" mb="10px">
        Everything else that was changed in either window goes together. Until these are decided
        nothing of the profile is saved here.
      </chakra.p>
      <Box maxH="50vh" overflowY="auto" tabIndex={0} role="region" aria-label="What conflicts">
        <chakra.table width="100%" fontSize="12.5px" css={tableStyle}>
          <thead>
            <tr>
              <th>What</th>
              <th>In this window</th>
              <th>In the other</th>
              <th>Keep that of</th>
            </tr>
          </thead>
          <tbody>
            {conflicts.map((conflict: Conflict, i) => {
              const words = conflictWords(conflict, profile);
              const what = words.what || 'the profile';
              return (
                <tr
                  key={conflictId(conflict)}
                  data-conflict={conflictId(conflict)}
                  data-selected={i === at}
                >
                  <td>{what}</td>
                  <td>{words.mine}</td>
                  <td>{words.theirs}</td>
                  <td>
                    <Choice
                      label={`Keep ${what} of`}
                      value={sides[i]!}
                      options={SIDES}
                      onChange={(side) => choose(i, side)}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </chakra.table>
      </Box>
      <Flex mt="12px" gap="8px" align="center" fontSize="13px" color="slate">
        <KeyCap>↑</KeyCap>
        <KeyCap>↓</KeyCap> line <KeyCap>T</KeyCap> this window <KeyCap>O</KeyCap> the other
        <Box flex="1" />
        <Button size="sm" borderRadius="edge" onClick={take}>
          Decide so <KeyCap>Enter</KeyCap>
        </Button>
      </Flex>
    </>
  );
}
