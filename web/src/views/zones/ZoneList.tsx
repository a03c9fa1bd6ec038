import { chakra, Flex } from '@chakra-ui/react';
import type { ZoneBoard } from '@sorn/core/model';
import type { RefObject } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { Section } from '../../ui/Section.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { AppsInZone } from './AppsInZone.tsx';
import type { ZoneEdits } from './edits.ts';

const span = ([first, last]: readonly [number, number]) =>
  first === last ? String(first) : `${first}–${last}`;

/** The zones of the selected board in their order, and the name of the selected one. */
export function ZoneList(props: {
  board: ZoneBoard;
  zone: string;
  edits: ZoneEdits;
  onZone: (name: string) => void;
  onApp: () => void;
  nameInput: RefObject<HTMLInputElement | null>;
}) {
  const { board, zone, edits, onZone, nameInput } = props;
  return (
    <Section
      title="Zones"
      note={
        <Flex as="span" gap="6px" align="center">
          <KeyCap>J</KeyCap>
          <KeyCap>K</KeyCap> select <KeyCap>N</KeyCap> new
        </Flex>
      }
    >
      <SettingRow label="Name" caps={['Enter']}>
        <TextField
          key={zone}
          label="Name of the zone"
          value={zone}
          isNeeded
          faultOf={edits.renameFault}
          inputRef={nameInput}
          onChange={edits.rename}
        />
      </SettingRow>
      <AppsInZone zone={zone} edits={edits} onAdd={props.onApp} />
      <chakra.ol maxHeight="190px" overflowY="auto" mt="4px" aria-label="Zones in their order">
        {board.zones.map(({ name, columns, rows }, i) => (
          <ListLine
            key={name}
            name={name}
            isHere={name === zone}
            data={{ 'data-zone-line': name }}
            before={
              <chakra.span
                fontFamily="mono"
                fontSize="12px"
                fontStretch="88%"
                minW="2ch"
                textAlign="right"
              >
                {i + 1}
              </chakra.span>
            }
            onChoose={() => onZone(name)}
          >
            <chakra.span
              fontFamily="mono"
              fontSize="11px"
              fontStretch="88%"
              color="slate"
              whiteSpace="nowrap"
            >
              col {span(columns)} · row {span(rows)}
            </chakra.span>
          </ListLine>
        ))}
      </chakra.ol>
      <chakra.p fontSize="12px" color="slate" mt="6px">
        Windows fill them in this order; a later one lies over. <KeyCap>U</KeyCap> earlier{' '}
        <KeyCap>O</KeyCap> later. A drag over cells draws one, too; a drag on a line moves it.
      </chakra.p>
    </Section>
  );
}
