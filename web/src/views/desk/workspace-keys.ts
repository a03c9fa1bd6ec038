import type { RefObject } from 'react';
import { focusFigure } from '../../ui/inspector.ts';
import { selectingKeys, usePageKeys } from '../../ui/page-keys.ts';
import type { WorkspaceEdits, WorkspaceRow } from './workspace-edits.ts';

/** The keys of the page of workspaces. */
export function useWorkspaceKeys(props: {
  rows: readonly WorkspaceRow[];
  row: WorkspaceRow | null;
  edits: WorkspaceEdits;
  newInput: RefObject<HTMLInputElement | null>;
  nameInput: RefObject<HTMLInputElement | null>;
  letterInput: RefObject<HTMLInputElement | null>;
  homeSelect: RefObject<HTMLSelectElement | null>;
  layoutSelect: RefObject<HTMLSelectElement | null>;
  onChoose: (id: string) => void;
  onOther: () => void;
}) {
  const { rows, row, edits } = props;
  const goTo = (by: 1 | -1) => {
    const next = rows[(row ? rows.indexOf(row) : 0) + by];
    if (next) props.onChoose(next.id);
  };
  const onRow = (run: (there: WorkspaceRow) => void) => () => {
    if (row) run(row);
  };
  usePageKeys('Workspaces', [
    ...selectingKeys(goTo),
    {
      keys: ['ArrowUp'],
      alt: true,
      caps: ['Alt', '↑ ↓'],
      label: 'move',
      run: onRow((there) => edits.moveBy(there, -1)),
    },
    {
      keys: ['ArrowDown'],
      alt: true,
      caps: ['Alt', '↓'],
      label: 'move it down',
      minor: true,
      run: onRow((there) => edits.moveBy(there, 1)),
    },
    { keys: ['n'], label: 'new', run: () => props.newInput.current?.focus() },
    { keys: ['Enter'], label: 'name', run: () => focusFigure(props.nameInput) },
    { keys: ['l'], shift: false, label: 'letter', run: () => focusFigure(props.letterInput) },
    { keys: ['h'], label: 'home', run: () => focusFigure(props.homeSelect) },
    { keys: ['k'], label: 'layout', run: () => focusFigure(props.layoutSelect) },
    { keys: ['s'], label: 'show it', run: onRow(edits.show) },
    {
      keys: ['Delete', 'Backspace'],
      caps: ['Delete'],
      label: 'remove',
      run: onRow(edits.remove),
    },
    {
      keys: ['o'],
      label: 'keep one that was made by key',
      minor: true,
      run: onRow(edits.keep),
    },
    { keys: ['w'], label: 'live desk', run: props.onOther },
  ]);
}
