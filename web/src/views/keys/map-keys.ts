import { bindingId, quickFixesFor, type KeyFinding } from '@sorn/core/checkup';
import { boundAt, keyMap } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import type { RefObject } from 'react';
import { flushSync } from 'react-dom';
import { focusFigure, useInspector } from '../../ui/inspector.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import type { KeyEdits } from './edits.ts';
import { useRecorder } from './recorder.ts';
import type { KeyRow } from './rows.ts';

/** The keys of the map: which binding is selected, what becomes of it, and what is shown. */
export function useMapKeys(props: {
  edits: KeyEdits;
  profile: Profile;
  rows: readonly KeyRow[];
  row: KeyRow | null;
  layers: readonly string[];
  layer: string;
  findings: readonly KeyFinding[];
  at: number;
  searchInput: RefObject<HTMLInputElement | null>;
  keysInput: RefObject<HTMLInputElement | null>;
  commandSelect: RefObject<HTMLSelectElement | null>;
  onRow: (id: string) => void;
  onLayer: (layer: string) => void;
  onNextSet: () => void;
  onNextFace: () => void;
  onNextFilter: () => void;
  onFinding: (at: number) => void;
  onFix: (next: Profile) => void;
  onFound: (id: string) => void;
  onNew: () => void;
}) {
  const { edits, profile, rows, row, layers, layer, findings, at } = props;
  const isRecording = useRecorder(({ asks }) => asks !== null);
  const goTo = (by: 1 | -1) => {
    const next = rows[(row ? rows.indexOf(row) : -1) + by];
    if (next) props.onRow(next.id);
  };
  const stepLayer = (by: 1 | -1) =>
    props.onLayer(layers[(layers.indexOf(layer) + by + layers.length) % layers.length]!);
  const quickFix = (which: number) => {
    const finding = findings[at];
    const way = finding && quickFixesFor(profile, finding)[which];
    if (way) props.onFix(way.profile);
  };
  const { record } = useRecorder.use().getState();
  const find = (keys: string) => {
    const [first] = keys.split(' ');
    const bound =
      boundAt(profile, keys, layer) ??
      boundAt(profile, keys) ??
      keyMap(profile).find((each) => each.trigger.steps.length > 1 && each.keys.startsWith(first!));
    if (bound) props.onFound(bindingId(bound));
    else record(`Nothing is bound to it. Press others to find what they do`, find);
  };
  const isMovable = row && row.from !== 'fixed';
  usePageKeys(
    'Keys',
    isRecording
      ? []
      : [
          { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'binding', run: () => goTo(-1) },
          {
            keys: ['ArrowDown'],
            label: 'select the next binding',
            minor: true,
            run: () => goTo(1),
          },
          {
            keys: ['r'],
            label: 'record',
            run: () => {
              if (isMovable) record(`Other keys for ${row.command}`, edits.setKeys);
            },
          },
          { keys: ['n'], label: 'new', run: props.onNew },
          {
            keys: ['a'],
            label: 'further keys for its command',
            minor: true,
            run: () => {
              const command = row?.binding.command;
              if (command) edits.recordFor(command, row.command, layer);
            },
          },
          { keys: ['/'], label: 'search', run: () => props.searchInput.current?.focus() },
          {
            keys: ['k'],
            label: 'press to find',
            run: () => record('Press the keys to find what they do', find),
          },
          { keys: ['['], caps: ['[', ']'], label: 'layer', run: () => stepLayer(-1) },
          { keys: [']'], label: 'next layer', minor: true, run: () => stepLayer(1) },
          { keys: ['h'], label: 'modifiers shown', minor: true, run: props.onNextSet },
          { keys: ['v'], label: 'commands, use or reach', minor: true, run: props.onNextFace },
          {
            keys: ['f'],
            label: 'all, changed, in conflict, unused',
            minor: true,
            run: props.onNextFilter,
          },
          {
            keys: ['e'],
            label: 'next finding',
            minor: findings.length === 0,
            run: () => props.onFinding((at + 1) % Math.max(1, findings.length)),
          },
          {
            keys: ['m'],
            shift: false,
            label: 'fix it',
            minor: findings.length === 0,
            run: () => quickFix(0),
          },
          {
            keys: ['m'],
            shift: true,
            caps: ['Shift', 'M'],
            label: 'fix it the other way',
            minor: true,
            run: () => quickFix(1),
          },
          {
            keys: ['Enter'],
            label: 'type the keys',
            minor: true,
            run: () => focusFigure(props.keysInput),
          },
          {
            keys: ['t'],
            label: 'another command',
            minor: true,
            run: () => {
              flushSync(() => useInspector.getState().show());
              props.commandSelect.current?.focus();
            },
          },
          {
            keys: ['o'],
            label: 'stays, or may move',
            minor: true,
            run: () => edits.setPinned(!row?.binding.pinned),
          },
          { keys: ['b'], label: 'as the starter has it', minor: true, run: edits.setBack },
          {
            keys: ['Delete', 'Backspace'],
            caps: ['Delete'],
            label: 'take the keys off',
            minor: true,
            run: edits.drop,
          },
        ],
  );
}
