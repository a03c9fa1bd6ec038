import { Box, chakra } from '@chakra-ui/react';
import { PIECE_NAMES, type ImportItem, type Taking } from '@sorn/core';
import { useInSight } from '../../app/in-sight.ts';
import { tableStyle } from '../../app/table-style.ts';

const KINDS: Record<ImportItem['kind'], string> = {
  added: '+ new',
  changed: '~ otherwise',
  clash: '! in the way',
};

/** What a file would bring, each with a tick. */
export function ImportTable(props: {
  items: readonly ImportItem[];
  takings: ReadonlyMap<string, Taking>;
  at: number;
  onAt: (at: number) => void;
  onTick: (item: ImportItem) => void;
}) {
  const { items, takings, at, onAt, onTick } = props;
  return (
    <Box
      flex="0 1 auto"
      minH="96px"
      maxH="46%"
      overflow="auto"
      tabIndex={0}
      role="region"
      aria-label="What it would bring"
    >
      <chakra.table width="100%" fontSize="12.5px" css={{ ...tableStyle, tableLayout: 'fixed' }}>
        <thead>
          <tr>
            <chakra.th width="44px" aria-label="Taken" />
            <chakra.th width="74px">Piece</chakra.th>
            <chakra.th width="104px">Here it is</chakra.th>
            <th>What</th>
            <chakra.th width="250px">Changes</chakra.th>
          </tr>
        </thead>
        <tbody>
          {items.map((item, i) => (
            <Line
              key={item.id}
              item={item}
              taking={takings.get(item.id)}
              isHere={i === at}
              onHere={() => onAt(i)}
              onTick={() => onTick(item)}
            />
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}

function Line(props: {
  item: ImportItem;
  taking: Taking | undefined;
  isHere: boolean;
  onHere: () => void;
  onTick: () => void;
}) {
  const { item, taking, isHere, onHere, onTick } = props;
  const inSight = useInSight<HTMLTableRowElement>(isHere);
  const cut = { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' } as const;
  return (
    <chakra.tr
      ref={inSight}
      data-item={item.id}
      data-kind={item.kind}
      data-taking={taking ?? 'none'}
      data-in-hand={isHere}
      onClick={onHere}
    >
      <td>
        <chakra.input
          type="checkbox"
          aria-label={`Take ${item.text}`}
          checked={taking !== undefined}
          onChange={onTick}
          width="15px"
          height="15px"
          accentColor="var(--sorn-colors-petrol)"
          cursor="pointer"
        />
      </td>
      <td>{PIECE_NAMES[item.piece].title}</td>
      <chakra.td
        color={item.kind === 'clash' ? 'vermilion' : 'slate'}
        fontWeight={item.kind === 'clash' ? 600 : 400}
      >
        {KINDS[item.kind]}
      </chakra.td>
      <chakra.td fontWeight={600} {...cut}>
        {item.text}
        {taking === 'both' && ' (beside mine)'}
      </chakra.td>
      <chakra.td color="slate" {...cut}>
        {item.details.join('; ')}
      </chakra.td>
    </chakra.tr>
  );
}
