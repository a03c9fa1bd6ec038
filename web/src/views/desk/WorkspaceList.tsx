import { Box, chakra, Flex } from '@chakra-ui/react';
import { monitorName } from '@sorn/core/desk';
import { tilingInForce } from '@sorn/core/engine';
import type { WorkspaceName } from '@sorn/core/values';
import { countText, workspaceIdOf } from '@sorn/core/values';
import { useState, type Ref } from 'react';
import { layoutText } from '../../sheet/words.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { useScrollIntoView } from '../../ui/scroll-into-view.ts';
import { SortableList, useSortableLine } from '../../ui/sortable.tsx';
import type { WorkspaceEdits, WorkspaceRow } from './workspace-edits.ts';

/** All workspaces in their order, and a field for one more. */
export function WorkspaceList(props: {
  rows: readonly WorkspaceRow[];
  row: WorkspaceRow | null;
  edits: WorkspaceEdits;
  newInput: Ref<HTMLInputElement>;
  onChoose: (id: string) => void;
}) {
  const { rows, row, edits, onChoose } = props;
  const kept = rows.filter(({ isKept }) => isKept).map(({ id }) => id);
  return (
    <Flex
      as="section"
      aria-label="Workspaces"
      direction="column"
      maxH="50%"
      minH="0"
      bg="sheet"
      borderTop="1px solid"
      borderColor="ink"
      fontSize="13px"
    >
      <Flex align="center" gap="8px" px="10px" py="5px" color="slate" fontSize="12px">
        <chakra.span fontWeight={650} color="ink">
          Workspaces
        </chakra.span>
        <span>in the order in which keys go round them</span>
        <Box flex="1" />
        <KeyCap>Alt</KeyCap>
        <KeyCap>↑</KeyCap>
        <KeyCap>↓</KeyCap> move
      </Flex>
      <SortableList ids={kept} onMove={edits.move}>
        <chakra.ol overflowY="auto" minH="0" tabIndex={-1} css={listStyle}>
          {rows.map((each, at) =>
            each.isKept ? (
              <KeptLine key={each.id} {...{ row: each, at, isSelected: each === row, onChoose }} />
            ) : (
              <li key={each.id} data-workspace-line={each.id} data-selected={each === row}>
                <span className="grip" />
                <LineContent {...{ row: each, at, isSelected: each === row, onChoose }} />
              </li>
            ),
          )}
        </chakra.ol>
      </SortableList>
      <NewWorkspace after={row} edits={edits} inputRef={props.newInput} />
    </Flex>
  );
}

const listStyle = {
  '& li': {
    display: 'grid',
    gridTemplateColumns: '12px 34px minmax(0, 1.2fr) minmax(0, 1.2fr) minmax(0, 1fr) 96px',
    alignItems: 'center',
    gap: '8px',
    minHeight: '30px',
    paddingInline: '7px',
    listStyleType: 'none',
    bg: 'sheet',
    borderLeft: '3px solid transparent',
    borderTop: '1px solid',
    borderTopColor: 'hairline',
  },
  '& li[data-selected=true]': { bg: 'petrol.wash', borderLeftColor: 'petrol' },
  '& .grip': { color: 'slate', cursor: 'grab' },
  '& button': {
    textAlign: 'left',
    cursor: 'pointer',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
  },
  '& .quiet': {
    color: 'slate',
    fontSize: '12px',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
  },
  '& .figure': { fontFamily: 'mono', fontStretch: '88%', textAlign: 'right' },
};

interface LineProps {
  row: WorkspaceRow;
  at: number;
  isSelected: boolean;
  onChoose: (id: string) => void;
}

function KeptLine(props: LineProps) {
  const { row, isSelected } = props;
  const { setNodeRef, style, grip } = useSortableLine(row.id);
  return (
    <li ref={setNodeRef} data-workspace-line={row.id} data-selected={isSelected} style={style}>
      {grip}
      <LineContent {...props} />
    </li>
  );
}

function LineContent({ row, at, isSelected, onChoose }: LineProps) {
  const { profile, session } = useProfileStore((state) => state);
  const name = useScrollIntoView<HTMLButtonElement>(isSelected, at);
  const windows = session.windows.filter(({ workspace }) => workspace === row.id).length;
  const isShown = session.shown[row.monitor] === row.id;
  const { layout } = tilingInForce(profile, session, row.id, row.monitor);
  return (
    <>
      <KeyCap textAlign="center" truncate>
        {row.id}
      </KeyCap>
      <chakra.button
        ref={name}
        type="button"
        aria-pressed={isSelected}
        aria-label={`Workspace ${row.id}${row.name === row.id ? '' : ` ${row.name}`}`}
        fontWeight={isSelected ? 650 : 400}
        onClick={() => onChoose(row.id)}
      >
        {row.name === row.id ? <chakra.span color="slate">no name</chakra.span> : row.name}
      </chakra.button>
      <span className="quiet">
        {row.monitor === '' ? 'closed' : monitorName(profile, row.monitor)}
        {isShown && ', shown'}
        {!row.isKept && (row.isMadeUp ? ', fills it' : ', made by key')}
      </span>
      <span className="quiet">{row.monitor === '' ? '' : layoutText(layout)}</span>
      <span className="quiet figure">
        {windows === 0 ? 'no window' : countText(windows, 'window')}
      </span>
    </>
  );
}

/** A letter or a name; what it would make is told while it is typed. */
function NewWorkspace(props: {
  after: WorkspaceRow | null;
  edits: WorkspaceEdits;
  inputRef: Ref<HTMLInputElement>;
}) {
  const { after, edits, inputRef } = props;
  const [typed, setTyped] = useState('');
  const [isHere, setHere] = useState(false);
  const called = edits.called(typed);
  return (
    <Flex
      align="center"
      gap="8px"
      px="10px"
      py="5px"
      borderTop="1px solid"
      borderColor="hairline"
      fontSize="12px"
      color="slate"
    >
      <KeyCap>N</KeyCap>
      <chakra.input
        ref={inputRef}
        aria-label="New workspace"
        aria-invalid={called === null}
        placeholder="new: its letter or its name"
        autoComplete="off"
        maxLength={400}
        width="200px"
        fontSize="13px"
        color="ink"
        bg="transparent"
        borderBottom="1px dashed"
        borderColor="slate"
        _focusVisible={{ outline: '2px solid', outlineColor: 'vermilion', outlineOffset: '2px' }}
        value={typed}
        onFocus={() => setHere(true)}
        onBlur={() => setHere(false)}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            setTyped('');
            event.currentTarget.blur();
          } else if (event.key === 'Enter' && called) {
            edits.add(typed, after);
            setTyped('');
            event.currentTarget.blur();
          }
        }}
      />
      {isHere && (
        <chakra.span role="status" color={called ? 'slate' : 'vermilion'}>
          {called ? madeText(called) : `${workspaceIdOf(typed)} is taken`}
        </chakra.span>
      )}
    </Flex>
  );
}

function madeText({ id, name }: WorkspaceName): string {
  return name === undefined
    ? `Enter makes workspace ${id}`
    : `Enter makes workspace ${id}, called ${name}`;
}
