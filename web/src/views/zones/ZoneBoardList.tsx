import { countText } from '@sorn/core/values';
import { chakra, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import type { ZoneBoard } from '@sorn/core/model';
import { zoneBoardName } from '@sorn/core/tiling';
import type { ZoneBoardFit } from '@sorn/core/zones';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { ZoneBoardPicture } from './ZoneBoardPicture.tsx';
import type { ZoneEdits } from './edits.ts';

/** The boards of the profile, in their order: of those that fit a monitor the first is the one it gets. */
export function ZoneBoardList(props: {
  fits: readonly ZoneBoardFit[];
  board: ZoneBoard | null;
  edits: ZoneEdits;
  onBoard: (id: string) => void;
  onAdd: () => void;
}) {
  const { fits, board: selected, edits, onBoard, onAdd } = props;
  const list = useRef<HTMLUListElement>(null);
  // Within the list alone: the inspector stays where it is.
  useEffect(() => {
    const line = list.current?.querySelector<HTMLElement>('[data-here=true]');
    if (!list.current || !line) return;
    const { offsetTop, offsetHeight } = line;
    const { scrollTop, clientHeight } = list.current;
    if (offsetTop < scrollTop) list.current.scrollTop = offsetTop;
    else if (offsetTop + offsetHeight > scrollTop + clientHeight)
      list.current.scrollTop = offsetTop + offsetHeight - clientHeight;
  }, [selected?.id, fits.length]);
  const unfit = fits.find(({ board, fits: doesFit }) => board.id === selected?.id && !doesFit);
  return (
    <Section
      title="Boards"
      note={
        <Flex as="span" gap="6px" align="center">
          <KeyCap>[</KeyCap>
          <KeyCap>]</KeyCap> select <KeyCap>B</KeyCap> add
        </Flex>
      }
    >
      {fits.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          No board yet. A board is a drawing of zones that windows are put into.{' '}
          <TextButton onClick={onAdd}>Begin from a ready-made one</TextButton>, or{' '}
          <TextButton onClick={edits.addEmpty}>from an empty grid</TextButton>.
        </chakra.p>
      )}
      <chakra.ul ref={list} position="relative" maxHeight="246px" overflowY="auto">
        {fits.map(({ board, fits: doesFit }) => (
          <ListLine
            key={board.id}
            name={zoneBoardName(board)}
            isHere={board.id === selected?.id}
            data={{ 'data-board-line': board.id, 'data-here': String(board.id === selected?.id) }}
            before={<ZoneBoardPicture board={board} width={42} height={24} />}
            onChoose={() => onBoard(board.id)}
          >
            <chakra.span fontSize="12px" color="slate" whiteSpace="nowrap">
              {doesFit ? countText(board.zones.length, 'zone') : 'not here'}
            </chakra.span>
          </ListLine>
        ))}
      </chakra.ul>
      {unfit && (
        <chakra.p fontSize="12px" color="slate" mt="6px">
          {zoneBoardName(unfit.board)} is not for this monitor: {unfit.because}.
        </chakra.p>
      )}
      {selected && (
        <Flex gap="14px" mt="6px" fontSize="12px" color="slate" align="center">
          <span>
            <KeyCap>G</KeyCap> earlier
          </span>
          <span>
            <KeyCap>Shift</KeyCap> <KeyCap>G</KeyCap> later
          </span>
          <chakra.span flex="1" />
          <TextButton label={`Delete the board ${zoneBoardName(selected)}`} onClick={edits.drop}>
            delete
          </TextButton>
        </Flex>
      )}
    </Section>
  );
}
