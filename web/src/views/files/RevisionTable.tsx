import { Box, chakra } from '@chakra-ui/react';
import { TextButton } from '../../ui/TextButton.tsx';
import { useScrollIntoView } from '../../ui/scroll-into-view.ts';
import type { Revision } from '@sorn/api';
import { CUT, ListTable } from './ListTable.tsx';
import { Fragment } from 'react';
import { dateText, dayText } from '../../ui/date-text.ts';

/** How many changes a line tells; the inspector has them all. */
const TOLD = 2;

const COLUMNS = [
  { name: 'No.', width: 64 },
  { name: 'Saved', width: 150 },
  { name: 'Changed' },
  { name: 'Name', width: 170 },
];

/** Saved states, newest first, each day under its name. */
export function RevisionTable(props: {
  revisions: readonly Revision[];
  chosen: number;
  present: number;
  onChoose: (revision: number) => void;
  onOlder: (() => void) | undefined;
  /** The first that is kept, where it is known. */
  first: number | undefined;
}) {
  const { revisions, chosen, present, onChoose, onOlder, first } = props;
  return (
    <ListTable
      label="Saved states"
      columns={COLUMNS}
      foot={
        onOlder && (
          <Box py="8px">
            <TextButton onClick={onOlder}>Older ones</TextButton>
          </Box>
        )
      }
    >
      {revisions.map((revision, i) => {
        const day = dayText(revision.savedAt);
        const former = revisions[i - 1];
        return (
          <Fragment key={revision.revision}>
            {(!former || dayText(former.savedAt) !== day) && (
              <tr className="task">
                <th colSpan={COLUMNS.length} scope="colgroup">
                  {day}
                </th>
              </tr>
            )}
            <Line
              revision={revision}
              isFirst={revision.revision === first}
              isChosen={revision.revision === chosen}
              isPresent={revision.revision === present}
              onChoose={onChoose}
            />
          </Fragment>
        );
      })}
    </ListTable>
  );
}

function Line(props: {
  revision: Revision;
  /** There is none before it. */
  isFirst: boolean;
  isChosen: boolean;
  isPresent: boolean;
  onChoose: (revision: number) => void;
}) {
  const { isFirst, isChosen, isPresent, onChoose } = props;
  const { revision, savedAt, label, changes, sameAs } = props.revision;
  const inSight = useScrollIntoView<HTMLTableRowElement>(isChosen);
  return (
    <chakra.tr
      ref={inSight}
      data-revision={revision}
      data-selected={isChosen}
      aria-current={isChosen}
      cursor="pointer"
      onClick={() => onChoose(revision)}
    >
      <chakra.td fontFamily="mono" fontStretch="88%" fontWeight={600}>
        {revision}
      </chakra.td>
      <chakra.td color="slate" whiteSpace="nowrap">
        {dateText(savedAt)}
      </chakra.td>
      <chakra.td {...CUT}>
        {isPresent && <chakra.strong fontWeight={650}>now · </chakra.strong>}
        {isFirst ? 'the first that is kept' : textOf(changes, sameAs)}
      </chakra.td>
      <chakra.td fontWeight={600} {...CUT}>
        {label}
      </chakra.td>
    </chakra.tr>
  );
}

function textOf(changes: readonly string[], sameAs: number | undefined): string {
  if (sameAs !== undefined) return `back to revision ${sameAs}: ${changes.slice(0, 1).join('')}`;
  if (changes.length === 0) return 'the text alone: comments, or the order of fields';
  const more = changes.length - TOLD;
  return `${changes.slice(0, TOLD).join('; ')}${more > 0 ? `; and ${more} more` : ''}`;
}
