import { Box, chakra, Flex } from '@chakra-ui/react';
import { deskInForce, type DeskMonitor } from '@sorn/core/desk';
import { letterOf } from '@sorn/core/snap';
import { STARTER_ZONE_BOARDS } from '@sorn/core/starters';
import { zoneBoardFits } from '@sorn/core/zones';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Panel, usePanelKeys } from '../../ui/Panel.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { ZoneBoardPicture } from './ZoneBoardPicture.tsx';
import type { ZoneEdits } from './edits.ts';

/** Boards to begin from, a letter each: those for the selected monitor first. */
export function StarterZoneBoards(props: {
  isOpen: boolean;
  monitor: DeskMonitor;
  edits: ZoneEdits;
  onClose: () => void;
}) {
  return (
    <Panel title="Add a board" isOpen={props.isOpen} onClose={props.onClose}>
      <Lines {...props} />
    </Panel>
  );
}

function Lines(props: { monitor: DeskMonitor; edits: ZoneEdits; onClose: () => void }) {
  const { monitor, edits, onClose } = props;
  const session = useProfileStore((state) => state.session);
  const profile = useProfileStore((state) => state.profile);
  const fits = zoneBoardFits(
    { boards: [...STARTER_ZONE_BOARDS] },
    deskInForce(profile, session),
    monitor,
  );
  const sorted = [...fits.filter((fit) => fit.fits), ...fits.filter((fit) => !fit.fits)];
  const lines = [
    ...sorted.map(({ board, fits: doesFit, because }) => ({
      board,
      says: doesFit ? because : `not for ${monitor.name}: ${because}`,
      take: () => edits.add(board),
    })),
    { board: null, says: 'two columns to draw on', take: () => edits.addEmpty() },
  ];
  const take = (line: (typeof lines)[number]) => {
    line.take();
    onClose();
  };
  usePanelKeys((pressed) => {
    const line = lines.find((_, i) => letterOf(i) === pressed);
    if (line) take(line);
    return line !== undefined;
  });
  return (
    <chakra.ul>
      {lines.map((line, i) => (
        <chakra.li key={line.board?.id ?? 'empty'} mb="2px">
          <chakra.button
            type="button"
            display="flex"
            width="100%"
            alignItems="center"
            gap="12px"
            px="6px"
            py="4px"
            textAlign="left"
            cursor="pointer"
            _hover={{ bg: 'petrol.wash' }}
            onClick={() => take(line)}
          >
            <KeyCap>{letterOf(i)}</KeyCap>
            {line.board ? (
              <ZoneBoardPicture board={line.board} width={66} height={34} />
            ) : (
              <Box width="66px" height="34px" border="1px dashed" borderColor="slate" />
            )}
            <Flex direction="column" minW="0">
              <chakra.span fontSize="13px" fontWeight={600}>
                {line.board?.name ?? 'Empty grid'}
              </chakra.span>
              <chakra.span fontSize="12px" color="slate">
                {line.says}
              </chakra.span>
            </Flex>
          </chakra.button>
        </chakra.li>
      ))}
    </chakra.ul>
  );
}
