import { listedWorkspaces } from '@sorn/core/engine';
import { definitionOfLayout, LAYOUTS, REACHES, type Reach } from '@sorn/core/tiling';
import {
  DIRECTIONS,
  LAYOUT_KINDS,
  NEW_WINDOWS,
  parametersOf,
  type LayoutField,
} from '@sorn/core/values';
import { TOO_SMALL } from '@sorn/core/model';
import type { RefObject } from 'react';
import { focusFigure } from '../../ui/inspector.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStoreApi, type DeskLayout } from '../../state/profile-context.ts';
import type { TilingEdits } from './edits.ts';
import { mainParameter } from './shown-parameters.ts';

const ARROWS = { left: 'ArrowLeft', right: 'ArrowRight', up: 'ArrowUp', down: 'ArrowDown' };

function after<T>(list: readonly T[], item: T): T {
  return list[(list.indexOf(item) + 1) % list.length]!;
}

/** The keys of the Tiling view, each for a setting of the inspector. */
export function useTilingKeys(props: {
  deskLayout: DeskLayout;
  edits: TilingEdits;
  innerGap: RefObject<HTMLInputElement | null>;
  outerGap: RefObject<HTMLInputElement | null>;
  countInput: RefObject<HTMLInputElement | null>;
  mainInput: RefObject<HTMLInputElement | null>;
  reach: Reach;
  setReach: (reach: Reach) => void;
  /** Shows the table of places, or puts it away. */
  onTable: () => void;
}): void {
  const { deskLayout, edits, reach } = props;
  const store = useProfileStoreApi();
  const { layout, gaps, newWindows, whenTooSmall } = edits.tiling;
  const main = mainParameter(layout);
  const can = LAYOUTS[layout.kind].can;
  const { workspace, monitor } = deskLayout.focused;

  const share = (by: number) => {
    const stepped = (value: number) => Number(Math.min(1, Math.max(0, value + by)).toFixed(4));
    if ('leadShare' in layout) edits.setLayout('leadShare', stepped(layout.leadShare));
    else if ('share' in layout) edits.setLayout('share', stepped(layout.share));
  };
  const count = (by: number) => {
    if (!('leadCount' in layout)) return;
    edits.setLayout('leadCount', Math.max(1, layout.leadCount + by));
  };
  const turn = () => {
    const { turn: how } = definitionOfLayout(layout);
    if (!how) return;
    if ('into' in how) {
      edits.setKind(how.into(layout).kind);
      return;
    }
    // Here it goes through all that can be set, in the order of turning as far as that goes.
    const { options = [] } = parametersOf(layout.kind)[how.field] ?? {};
    const all = [...how.through, ...options.filter((word) => !how.through.includes(word))];
    const present = String((layout as Record<string, unknown>)[how.field]);
    edits.setLayout(how.field as Exclude<LayoutField, 'kind'>, after(all, present));
  };

  usePageKeys('Tiling', [
    ...(can.leadShare || 'share' in layout
      ? [
          {
            keys: ['['],
            caps: ['[', ']'],
            label: can.leadShare ? 'lead share' : 'share',
            run: () => share(-0.01),
          },
          { keys: [']'], label: 'lead share up by 0.01', minor: true, run: () => share(0.01) },
          {
            keys: ['{'],
            caps: ['{', '}'],
            label: 'lead share by 0.05',
            minor: true,
            run: () => share(-0.05),
          },
          { keys: ['}'], label: 'lead share up by 0.05', minor: true, run: () => share(0.05) },
        ]
      : []),
    ...(can.leadCount
      ? [
          { keys: [';'], caps: [';', "'"], label: 'lead count', run: () => count(-1) },
          { keys: ["'"], label: 'lead count up', minor: true, run: () => count(1) },
        ]
      : []),
    ...(main
      ? [
          {
            keys: ['e'],
            label: `type ${main.name.toLowerCase()}`,
            run: () => focusFigure(props.mainInput),
          },
        ]
      : []),
    ...(definitionOfLayout(layout).turn ? [{ keys: ['t'], label: 'turn', run: turn }] : []),
    {
      keys: ['l'],
      shift: false,
      label: 'next layout',
      run: () => edits.setKind(after(LAYOUT_KINDS, layout.kind)),
    },
    {
      keys: ['k'],
      label: 'the layout before',
      minor: true,
      run: () => edits.setKind(after([...LAYOUT_KINDS].reverse(), layout.kind)),
    },
    {
      keys: ['n'],
      label: 'windows in the small drawings',
      minor: true,
      run: () => focusFigure(props.countInput),
    },
    { keys: ['g'], caps: ['G', 'O'], label: 'gaps', run: () => focusFigure(props.innerGap) },
    { keys: ['o'], label: 'outer gap', minor: true, run: () => focusFigure(props.outerGap) },
    {
      keys: ['a'],
      label: 'none when alone',
      minor: true,
      run: () => edits.setGap('dropWhenAlone', !gaps.dropWhenAlone),
    },
    {
      keys: ['j'],
      label: 'where new windows join',
      minor: true,
      run: () => edits.setPlain('newWindows', after(NEW_WINDOWS, newWindows)),
    },
    {
      keys: ['v'],
      label: 'what gives way',
      minor: true,
      run: () => edits.setPlain('whenTooSmall', after(TOO_SMALL, whenTooSmall)),
    },
    {
      keys: ['s'],
      label: 'how far edits reach',
      minor: true,
      run: () => props.setReach(after([...REACHES].reverse(), reach)),
    },
    { keys: ['p'], label: 'table of places', run: props.onTable },
    {
      keys: ['w'],
      label: 'next workspace',
      run: () => {
        const { session, profile } = store.getState();
        const listed = listedWorkspaces({ session, profile, desk: deskLayout.desk }, monitor.id);
        const ids = listed.map(({ id }) => id);
        store.getState().run({ command: 'go-workspace', which: after(ids, workspace) });
      },
    },
    ...DIRECTIONS.map((direction, i) => ({
      keys: [ARROWS[direction]],
      shift: false,
      caps: i === 0 ? ['←', '→', '↑', '↓'] : ['←→↑↓'.charAt(i)],
      label: i === 0 ? 'focus' : `focus ${direction}`,
      minor: i > 0,
      run: () => store.getState().run({ command: `focus-${direction}` }),
    })),
  ]);
}
