import { Flex } from '@chakra-ui/react';
import { useRef, useState, type ReactNode } from 'react';
import { Sheet } from '../../sheet/Sheet.tsx';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { useProfileStore, useDeskLayout } from '../../state/profile-context.ts';
import { WorkspaceForm } from './WorkspaceForm.tsx';
import { WorkspaceList } from './WorkspaceList.tsx';
import { WorkspaceSettings } from './WorkspaceSettings.tsx';
import { useWorkspaceEdits, workspaceRows } from './workspace-edits.ts';
import { useWorkspaceKeys } from './workspace-keys.ts';

/** The workspaces: what they are called, their order, where they are at home, and how each is divided. */
export function WorkspacesPage({ pages, onOther }: { pages: ReactNode; onOther: () => void }) {
  const deskLayout = useDeskLayout();
  const profile = useProfileStore((state) => state.profile);
  const rows = workspaceRows(profile, deskLayout);
  // At first the one with the focus: that is what a person has in mind.
  const [chosen, setChosen] = useState(deskLayout.focused.workspace);
  const row = rows.find(({ id }) => id === chosen) ?? rows[0] ?? null;
  const edits = useWorkspaceEdits(rows, setChosen);
  const newInput = useRef<HTMLInputElement>(null);
  const nameInput = useRef<HTMLInputElement>(null);
  const letterInput = useRef<HTMLInputElement>(null);
  const homeSelect = useRef<HTMLSelectElement>(null);
  const layoutSelect = useRef<HTMLSelectElement>(null);
  const fields = { nameInput, letterInput, homeSelect, layoutSelect };
  useWorkspaceKeys({ rows, row, edits, newInput, ...fields, onChoose: setChosen, onOther });
  return (
    <ViewLayout
      name="Workspaces"
      inspector={
        <>
          {pages}
          {row && (
            <WorkspaceForm
              key={row.id}
              row={row}
              deskLayout={deskLayout}
              edits={edits}
              {...fields}
            />
          )}
          <WorkspaceSettings />
        </>
      }
    >
      <Flex direction="column" height="100%">
        <Flex flex="1" minH="0" direction="column">
          <Sheet deskLayout={deskLayout} />
        </Flex>
        <WorkspaceList
          rows={rows}
          row={row}
          edits={edits}
          newInput={newInput}
          onChoose={setChosen}
        />
      </Flex>
    </ViewLayout>
  );
}
