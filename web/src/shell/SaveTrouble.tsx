import { countText } from '@sorn/core/values';
import { Button, chakra, Flex } from '@chakra-ui/react';
import type { ProfileFileState } from '@sorn/api';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { FILE_STATES, fileTitle } from '../state/file-state.ts';
import { useViewPages } from '../state/view-pages.ts';
import { useProfileStore, useProfileStoreApi } from '../state/profile-context.ts';
import type { PanelName } from './panel.ts';
import { KeyCaps } from '../ui/KeyCap.tsx';
import { TextButton } from '../ui/TextButton.tsx';

/** Says why something is not saved, what came in from elsewhere, and lets the person decide where only they can. */
export function SaveTrouble({ onPanel }: { onPanel: (panel: PanelName) => void }) {
  const conflicts = useProfileStore((state) => state.conflicting?.conflicts.length ?? 0);
  const { profile, session } = useProfileStore((state) => state.saves);
  const remoteChanges = useProfileStore((state) => state.remoteChanges);
  const source = useProfileStore((state) => state.remoteSource);
  const file = useProfileStore((state) => state.file);
  const sharedStore = useProfileStore((state) => state.sharedStore);
  const store = useProfileStoreApi();
  const failed = [profile, session].find((state) => state.kind === 'failed');
  if (failed?.kind === 'failed') {
    return (
      <Bar isTrouble>
        <chakra.span>
          Not saved: {failed.message} Your edits are kept here and tried again in{' '}
          {Math.round(failed.retryInMs / 1000)} s.
        </chakra.span>
      </Bar>
    );
  }
  if (conflicts > 0) {
    return (
      <Bar isTrouble>
        <chakra.span flex="1">
          Changed here and in another window: {countText(conflicts, 'field')} to decide. Until then
          nothing of the profile is saved here.
        </chakra.span>
        <Button size="xs" borderRadius="edge" onClick={() => onPanel('conflicts')}>
          Decide <KeyCaps caps={['Ctrl', 'Enter']} />
        </Button>
      </Bar>
    );
  }
  if (session.kind === 'stale') {
    return (
      <Bar isTrouble>
        <chakra.span flex="1">
          This desk was saved elsewhere meanwhile. What was done here is not saved.
        </chakra.span>
        <Button size="xs" borderRadius="edge" onClick={() => store.getState().keepMine()}>
          Keep mine
        </Button>
        <Button
          size="xs"
          variant="outline"
          borderRadius="edge"
          onClick={() => store.getState().takeTheirs()}
        >
          Take theirs
        </Button>
      </Bar>
    );
  }
  if (sharedStore?.isAway) {
    return (
      <Bar isTrouble>
        <chakra.span data-store-away>
          The shared store {sharedStore.host} does not answer. What you edit is kept here, and sent
          when it is back; what others save is not seen until then.
        </chakra.span>
      </Bar>
    );
  }
  if (file && FILE_STATES[file.state].isTrouble) return <FileTrouble file={file} />;
  if (remoteChanges.length > 0) {
    return (
      <Bar>
        <chakra.span flex="1" minW="0" truncate data-came-in={remoteChanges.length}>
          Changed in {source}: {remoteChanges.join('; ')}
        </chakra.span>
        <TextButton onClick={() => store.getState().putRemoteAway()}>Put this line away</TextButton>
      </Bar>
    );
  }
  return null;
}

/** The file that the profile lives in needs somebody. */
function FileTrouble({ file }: { file: ProfileFileState }) {
  const navigate = useNavigate();
  const pages = useViewPages.use();
  const [first] = file.faults ?? [];
  return (
    <Bar isTrouble>
      <chakra.span flex="1" minW="0" truncate data-file-trouble={file.state}>
        {fileTitle(file)}: {first?.message ?? FILE_STATES[file.state].says}
      </chakra.span>
      <Button
        size="xs"
        borderRadius="edge"
        onClick={() => {
          pages.getState().show('files', 'file');
          void navigate('files');
        }}
      >
        Look at it <KeyCaps caps={['8', 'V']} />
      </Button>
    </Bar>
  );
}

function Bar({ isTrouble, children }: { isTrouble?: boolean; children: ReactNode }) {
  return (
    <Flex
      minW="0"
      role={isTrouble ? 'alert' : 'status'}
      align="center"
      gap="12px"
      px="14px"
      py="6px"
      borderTop="1px solid"
      borderColor={isTrouble ? 'vermilion' : 'hairline'}
      bg="sheet"
      fontSize="13px"
    >
      {children}
    </Flex>
  );
}
