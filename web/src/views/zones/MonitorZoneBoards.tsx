import { chakra, Flex } from '@chakra-ui/react';
import type { ZoneBoard } from '@sorn/core/model';
import { zoneBoardName, LAYOUTS } from '@sorn/core/tiling';
import { zoneBoardFits } from '@sorn/core/zones';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { useProfileStore, type DeskLayout } from '../../state/profile-context.ts';
import { useZoneBoardHere } from './zone-board-here.ts';

/** Which board each monitor gets, why, and what arranges its workspace now. */
export function MonitorZoneBoards(props: {
  deskLayout: DeskLayout;
  board: ZoneBoard | null;
  monitor: string;
}) {
  const { deskLayout, board, monitor: selected } = props;
  const { desk, shown } = deskLayout;
  const profile = useProfileStore((state) => state.profile);
  const useHere = useZoneBoardHere(selected);
  return (
    <Section title="Monitors" note="the board each gets, and why">
      {shown.map(({ monitor, workspace, tiling, zoned }) => {
        const fits = zoneBoardFits(profile, desk, monitor);
        const first = fits.find((fit) => fit.fits);
        const isHere = monitor.id === selected;
        const isOn = isHere && board !== null && useHere.board === board.id;
        return (
          <chakra.div
            key={monitor.id}
            data-monitor-line={monitor.id}
            px="7px"
            py="4px"
            borderLeft="3px solid"
            borderColor={isHere ? 'petrol' : 'transparent'}
          >
            <Flex align="baseline" gap="8px">
              <chakra.span fontSize="13px" fontWeight={isHere ? 650 : 400} flex="1" truncate>
                {monitor.name}
              </chakra.span>
              <chakra.span fontSize="12px" color="petrol" whiteSpace="nowrap">
                {first ? zoneBoardName(first.board) : 'no board fits'}
              </chakra.span>
            </Flex>
            {first && (
              <chakra.p fontSize="12px" color="slate">
                {first.because}
              </chakra.p>
            )}
            <chakra.p fontSize="12px" color="slate">
              Workspace {workspace} there:{' '}
              {zoned
                ? `the board ${zoneBoardName(zoned.board)}`
                : LAYOUTS[tiling.layout.kind].title}
              {isHere && board && (
                <>
                  {'. '}
                  <KeyCap>P</KeyCap>{' '}
                  <TextButton onClick={() => useHere.toggle(board.id)}>
                    {isOn ? 'as it was before' : `use ${zoneBoardName(board)}`}
                  </TextButton>
                </>
              )}
            </chakra.p>
          </chakra.div>
        );
      })}
      {shown.length > 1 && (
        <chakra.p fontSize="12px" color="slate" mt="4px">
          <KeyCap>V</KeyCap> select the next monitor
        </chakra.p>
      )}
    </Section>
  );
}
