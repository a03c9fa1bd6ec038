import { chakra } from '@chakra-ui/react';
import { SECTION_NAMES, type ImportItem, type Taking } from '@sorn/core/files';
import { useScrollIntoView } from '../../ui/scroll-into-view.ts';
import { CUT, ListTable } from './ListTable.tsx';

const KINDS: Record<ImportItem['kind'], string> = {
  added: '+ new',
  changed: '~ different',
  conflict: '! in the way',
};

const COLUMNS = [
  { name: 'Taken', width: 44, isHidden: true },
  { name: 'Section', width: 74 },
  { name: 'Here it is', width: 104 },
  { name: 'What' },
  { name: 'Changes', width: 250 },
];

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
    <ListTable label="What it would bring" columns={COLUMNS}>
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
    </ListTable>
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
  const inSight = useScrollIntoView<HTMLTableRowElement>(isHere);
  return (
    <chakra.tr
      ref={inSight}
      data-item={item.id}
      data-kind={item.kind}
      data-taking={taking ?? 'none'}
      data-selected={isHere}
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
      <td>{SECTION_NAMES[item.section].title}</td>
      <chakra.td
        color={item.kind === 'conflict' ? 'vermilion' : 'slate'}
        fontWeight={item.kind === 'conflict' ? 600 : 400}
      >
        {KINDS[item.kind]}
      </chakra.td>
      <chakra.td fontWeight={600} {...CUT}>
        {item.text}
        {taking === 'both' && ' (beside mine)'}
      </chakra.td>
      <chakra.td color="slate" {...CUT}>
        {item.details.join('; ')}
      </chakra.td>
    </chakra.tr>
  );
}
