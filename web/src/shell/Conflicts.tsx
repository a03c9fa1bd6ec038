import { Box, Button, chakra, Flex } from '@chakra-ui/react';
import { useProfileStore, useProfileStoreApi } from '../state/profile-context.ts';
import { conflictRows, type Conflicting } from '../state/remote-merge.ts';
import { DecisionTable, useDecisions } from '../ui/DecisionTable.tsx';
import { KeyCap } from '../ui/KeyCap.tsx';
import { Panel, usePanelKeys } from '../ui/Panel.tsx';

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
      <Deciding key={conflicting.theirs.revision} conflicting={conflicting} />
    </Panel>
  );
}

function Deciding({ conflicting }: { conflicting: Conflicting }) {
  const profile = useProfileStore((state) => state.written);
  const store = useProfileStoreApi();
  const rows = conflictRows(conflicting.conflicts, profile);
  const state = useDecisions(rows);
  const take = () => store.getState().resolveConflicts(state.decided());
  usePanelKeys((key) => {
    switch (key) {
      case 'arrowdown':
      case 'arrowup':
        state.move(key === 'arrowdown' ? 1 : -1);
        return true;
      case 't':
      case 'o':
        state.choose(state.at, key === 't' ? 'mine' : 'theirs');
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
      <DecisionTable
        rows={rows}
        state={state}
        mine={{ head: 'In this window', text: 'this window' }}
        theirs={{ head: 'In the other', text: 'the other' }}
      />
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
