import { Box, chakra } from '@chakra-ui/react';
import { workspacesOn, type HomedWorkspace, type DeskMonitor } from '@sorn/core/desk';
import { tilingInForce } from '@sorn/core/engine';
import { originText, layoutText } from '../../sheet/words.ts';
import {
  useProfileStore,
  useProfileStoreApi,
  type DeskLayout,
} from '../../state/profile-context.ts';

/** Which layout applies to every workspace on every monitor that can show it, and why. */
export function PlacesTable({ deskLayout }: { deskLayout: DeskLayout }) {
  const { desk } = deskLayout;
  const rows = desk.workspaces;
  return (
    <Box
      as="section"
      aria-label="Layouts by workspace and monitor"
      height="236px"
      overflow="auto"
      borderTop="1px solid"
      borderColor="ink"
      bg="sheet"
      tabIndex={0}
    >
      <chakra.table
        width="100%"
        fontSize="12px"
        css={{
          borderCollapse: 'collapse',
          '& th, & td': { textAlign: 'left', px: '10px', height: '34px', verticalAlign: 'middle' },
          '& thead th': {
            position: 'sticky',
            top: 0,
            bg: 'sheet',
            fontWeight: 650,
            height: '26px',
            boxShadow: '0 1px 0 var(--sorn-colors-hairline)',
          },
          '& tbody tr': { borderTop: '1px solid', borderColor: 'hairline' },
          '& td': { p: 0 },
        }}
      >
        <thead>
          <tr>
            <th>Workspace</th>
            {desk.monitors.map(({ id, name }) => (
              <th key={id}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((workspace) => (
            <tr key={workspace.id}>
              <th scope="row">
                <chakra.span fontFamily="mono" fontWeight={600} mr="8px">
                  {workspace.id}
                </chakra.span>
                <chakra.span fontWeight={400}>
                  {workspace.name === workspace.id ? '' : workspace.name}
                </chakra.span>
              </th>
              {desk.monitors.map((monitor) => (
                <td key={monitor.id}>
                  {workspacesOn(desk, monitor.id).includes(workspace) && (
                    <Cell deskLayout={deskLayout} workspace={workspace} monitor={monitor} />
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}

function Cell(props: { deskLayout: DeskLayout; workspace: HomedWorkspace; monitor: DeskMonitor }) {
  const { deskLayout, workspace, monitor } = props;
  const store = useProfileStoreApi();
  const profile = useProfileStore((state) => state.profile);
  const session = useProfileStore((state) => state.session);
  const { layout, from } = tilingInForce(profile, session, workspace.id, monitor.id);
  const { focused } = deskLayout;
  const isHere = focused.workspace === workspace.id && focused.monitor.id === monitor.id;
  return (
    <chakra.button
      type="button"
      aria-pressed={isHere}
      data-place={`${workspace.id}/${monitor.id}`}
      width="100%"
      px="7px"
      lineHeight="16px"
      py="1px"
      textAlign="left"
      cursor="pointer"
      borderLeft="3px solid"
      borderColor={isHere ? 'petrol' : 'transparent'}
      bg={isHere ? 'petrol.wash' : 'transparent'}
      onClick={() => store.getState().run({ command: 'go-workspace', which: workspace.id })}
    >
      <chakra.span display="block" fontWeight={600}>
        {layoutText(layout)}
      </chakra.span>
      <chakra.span display="block" color="slate" fontStretch="92%">
        {originText(from.kind, workspace.id, monitor.id, deskLayout.desk)}
      </chakra.span>
    </chakra.button>
  );
}
