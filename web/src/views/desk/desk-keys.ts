import { type DeskMonitor, fromTheLeft } from '@sorn/core/desk';
import type { Direction } from '@sorn/core/values';
import type { RefObject } from 'react';
import { focusFigure } from '../../ui/inspector.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import type { DeskEdits } from './edits.ts';

const ARROWS = [
  ['ArrowLeft', 'left', '←'],
  ['ArrowRight', 'right', '→'],
  ['ArrowUp', 'up', '↑'],
  ['ArrowDown', 'down', '↓'],
] as const satisfies readonly (readonly [string, Direction, string])[];

const SIDES: Record<Direction, string> = {
  left: 'left',
  right: 'right',
  up: 'upper side',
  down: 'lower side',
};

/** The keys of the Desk view: which monitor is selected, where it stands, and what it is. */
export function useDeskKeys(props: {
  monitor: DeskMonitor;
  edits: DeskEdits;
  onChoose: (id: string) => void;
  onAdd: () => void;
  onOther: () => void;
  xInput: RefObject<HTMLInputElement | null>;
  topInput: RefObject<HTMLInputElement | null>;
  mmInput: RefObject<HTMLInputElement | null>;
}) {
  const { monitor, edits } = props;
  const choose = (by: 1 | -1) => {
    const ring = fromTheLeft(edits.monitors);
    const at = ring.findIndex(({ id }) => id === monitor.id);
    props.onChoose(ring[(at + by + ring.length) % ring.length]!.id);
  };
  usePageKeys('Desk', [
    { keys: ['['], caps: ['[', ']'], label: 'select', run: () => choose(-1) },
    { keys: [']'], label: 'select the next monitor', minor: true, run: () => choose(1) },
    ...ARROWS.map(([key, direction, cap], i) => ({
      keys: [key],
      shift: false,
      caps: i === 0 ? ['← → ↑ ↓'] : [cap],
      label: i === 0 ? 'move' : `move it ${direction}`,
      minor: i > 0,
      run: () => edits.step(monitor, direction, false),
    })),
    ...ARROWS.map(([key, direction, cap], i) => ({
      keys: [key],
      ctrl: true,
      caps: ['Ctrl', i === 0 ? '← → ↑ ↓' : cap],
      label: i === 0 ? '1 px' : `move it ${direction} by 1 px`,
      minor: i > 0,
      run: () => edits.step(monitor, direction, true),
    })),
    ...ARROWS.map(([key, direction, cap], i) => ({
      keys: [key],
      shift: true,
      ctrl: false,
      caps: ['Shift', i === 0 ? '← → ↑ ↓' : cap],
      label: i === 0 ? 'to a side' : `to the ${SIDES[direction]} of the nearest monitor`,
      minor: i > 0,
      run: () => edits.putBeside(monitor, direction),
    })),
    { keys: ['a'], label: 'add', run: props.onAdd },
    { keys: ['t'], label: 'turn', run: () => edits.turn(monitor) },
    { keys: ['g'], label: 'figures', run: () => focusFigure(props.xInput) },
    { keys: ['e'], label: 'edges', run: () => focusFigure(props.topInput) },
    {
      keys: ['s'],
      label: 'set for',
      run: () => edits.machine.setHere(!edits.machine.isHere),
    },
    {
      keys: ['l'],
      shift: false,
      label: 'align by real size',
      minor: true,
      run: () => focusFigure(props.mmInput),
    },
    {
      keys: ['p'],
      label: 'make it the primary',
      minor: true,
      run: () => edits.setDesk((desk) => ({ ...desk, primary: monitor.id })),
    },
    {
      keys: ['Delete', 'Backspace'],
      caps: ['Delete'],
      label: 'take it off',
      minor: true,
      run: () => {
        if (edits.monitors.length > 1) edits.takeOff(monitor);
      },
    },
    { keys: ['w'], label: 'workspaces', run: props.onOther },
    { keys: ['n'], label: 'one more desk', minor: true, run: edits.addDesk },
    // The frame has this key for every view; here it is what comes next.
    { keys: [], caps: ['X'], label: 'cables and desks', summary: true, run: () => undefined },
  ]);
}
