import { fromTheLeft, type DeskMonitor } from '@sorn/core/desk';
import type { ZoneBoard } from '@sorn/core/model';
import type { Direction } from '@sorn/core/values';
import type { RefObject } from 'react';
import { focusFigure } from '../../ui/inspector.ts';
import { usePageKeys, type PageKey } from '../../ui/page-keys.ts';
import type { ZoneEdits } from './edits.ts';
import { useZoneBoardHere } from './zone-board-here.ts';

const ARROWS = [
  ['ArrowLeft', 'left', '←', 'x', -1],
  ['ArrowRight', 'right', '→', 'x', 1],
  ['ArrowUp', 'up', '↑', 'y', -1],
  ['ArrowDown', 'down', '↓', 'y', 1],
] as const satisfies readonly (readonly [string, Direction, string, 'x' | 'y', number])[];

/** Physical pixels an arrow key moves a track line. */
const LINE_STEP = 20;

/** The keys of the Zones view: which board and zone is selected, where it lies, and what the board is made of. */
export function useZoneKeys(props: {
  edits: ZoneEdits;
  board: ZoneBoard | null;
  zone: string | null;
  monitor: DeskMonitor;
  monitors: readonly DeskMonitor[];
  boards: readonly ZoneBoard[];
  nameInput: RefObject<HTMLInputElement | null>;
  weightInput: RefObject<HTMLInputElement | null>;
  repeatSelect: RefObject<HTMLSelectElement | null>;
  oppositeSelect: RefObject<HTMLSelectElement | null>;
  onBoard: (id: string) => void;
  onZone: (name: string) => void;
  onMonitor: (id: string) => void;
  onAdd: () => void;
  onApp: () => void;
}) {
  const { edits, board, zone, monitor, boards } = props;
  const useHere = useZoneBoardHere(monitor.id);
  const nextBoard = (by: 1 | -1) => {
    if (boards.length === 0) return;
    const at = boards.findIndex(({ id }) => id === board?.id);
    props.onBoard(boards[(at + by + boards.length) % boards.length]!.id);
  };
  const nextZone = (by: 1 | -1) => {
    const zones = board?.zones ?? [];
    if (zones.length === 0) return;
    const at = zones.findIndex(({ name }) => name === zone);
    props.onZone(zones[(at + by + zones.length) % zones.length]!.name);
  };
  const nextMonitor = () => {
    const ring = fromTheLeft(props.monitors);
    const at = ring.findIndex(({ id }) => id === monitor.id);
    props.onMonitor(ring[(at + 1) % ring.length]!.id);
  };
  const withArrows = (
    caps: readonly string[],
    label: string,
    more: Pick<PageKey, 'ctrl' | 'shift'>,
    run: (arrow: (typeof ARROWS)[number]) => void,
  ): PageKey[] =>
    ARROWS.map((arrow, i) => ({
      keys: [arrow[0]],
      ...more,
      caps: [...caps, i === 0 ? '← → ↑ ↓' : arrow[2]],
      label: i === 0 ? label : `${label} ${arrow[1]}`,
      minor: i > 0,
      run: () => run(arrow),
    }));

  usePageKeys('Zones', [
    { keys: ['['], caps: ['[', ']'], label: 'board', run: () => nextBoard(-1) },
    { keys: [']'], label: 'select the next board', minor: true, run: () => nextBoard(1) },
    { keys: ['k'], caps: ['J', 'K'], label: 'zone', run: () => nextZone(1) },
    { keys: ['j'], label: 'select the zone before', minor: true, run: () => nextZone(-1) },
    ...withArrows([], 'move', { shift: false }, ([, direction]) => edits.move(direction)),
    ...withArrows(['Shift'], 'stretch', { shift: true }, ([, direction]) =>
      edits.stretch(direction),
    ),
    { keys: ['Enter'], label: 'name', run: () => focusFigure(props.nameInput) },
    { keys: ['n'], label: 'new', run: edits.addZone },
    { keys: ['s'], label: 'split', run: () => edits.split('x') },
    { keys: ['d'], label: 'split it down', minor: true, run: () => edits.split('y') },
    { keys: ['m'], label: 'merge with the next zone', minor: true, run: edits.merge },
    { keys: ['u'], label: 'earlier in the order', minor: true, run: () => edits.reorder(-1) },
    { keys: ['o'], label: 'later, over the others', minor: true, run: () => edits.reorder(1) },
    {
      keys: ['Delete', 'Backspace'],
      shift: false,
      caps: ['Delete'],
      label: 'delete the zone',
      minor: true,
      run: edits.remove,
    },
    {
      keys: ['c'],
      shift: false,
      label: 'one more column: its last one cut',
      minor: true,
      run: () => edits.cutTrack('x'),
    },
    {
      keys: ['c'],
      shift: true,
      caps: ['Shift', 'C'],
      label: 'its last column out',
      minor: true,
      run: () => edits.dropTrack('x'),
    },
    {
      keys: ['r'],
      shift: false,
      label: 'one more row: its last one cut',
      minor: true,
      run: () => edits.cutTrack('y'),
    },
    {
      keys: ['r'],
      shift: true,
      caps: ['Shift', 'R'],
      label: 'its last row out',
      minor: true,
      run: () => edits.dropTrack('y'),
    },
    ...withArrows(['Ctrl'], 'track line', { ctrl: true }, ([, , , axis, sign]) =>
      edits.moveLine(axis, sign * LINE_STEP),
    ),
    { keys: ['w'], label: 'weights', run: () => focusFigure(props.weightInput) },
    {
      keys: ['e'],
      label: 'what the same key again does',
      minor: true,
      run: () => focusFigure(props.repeatSelect),
    },
    {
      keys: ['q'],
      label: 'what the opposite key does',
      minor: true,
      run: () => focusFigure(props.oppositeSelect),
    },
    { keys: ['v'], label: 'next monitor', minor: true, run: nextMonitor },
    {
      keys: ['p'],
      label: 'use here',
      run: () => {
        if (board) useHere.toggle(board.id);
      },
    },
    { keys: ['b'], label: 'add', run: props.onAdd },
    {
      keys: ['a'],
      label: 'app always here',
      run: () => {
        if (zone !== null) props.onApp();
      },
    },
    {
      keys: ['g'],
      shift: false,
      label: 'board earlier',
      minor: true,
      run: () => edits.reorderBoard(-1),
    },
    {
      keys: ['g'],
      shift: true,
      caps: ['Shift', 'G'],
      label: 'board later',
      minor: true,
      run: () => edits.reorderBoard(1),
    },
    {
      keys: ['Delete', 'Backspace'],
      shift: true,
      caps: ['Shift', 'Delete'],
      label: 'delete the board',
      minor: true,
      run: edits.drop,
    },
  ]);
}
