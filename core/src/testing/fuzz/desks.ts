import fc from 'fast-check';
import { LAYOUT_KINDS } from '../../values/layout.ts';
import { ON_OPPOSITE, ON_REPEAT } from '../../values/snap.ts';
import { anyBoard } from '../zone-boards.ts';

/** Ids as people give them, and such as objects have members of. */
export const IDS = [
  'a',
  'b',
  'c',
  '1',
  'constructor',
  'toString',
  'hasOwnProperty',
  'é-#',
] as const;
const id = fc.constantFrom(...IDS);
const ids = (most: number, least = 0) => fc.uniqueArray(id, { minLength: least, maxLength: most });

const size = fc.record({
  width: fc.constantFrom(1, 40, 300, 900, 2_000, 60_000),
  height: fc.constantFrom(1, 30, 200, 700, 1_500, 60_000),
});
const hints = fc.record(
  {
    min: size,
    max: size,
    preferred: size,
    wanted: size,
    increment: fc.record({ width: fc.constantFrom(1, 9), height: fc.constantFrom(1, 20) }),
    aspect: fc.constantFrom(16 / 9, 0.5, 1),
    resizable: fc.boolean(),
    kind: fc.constantFrom('normal', 'dialog', 'utility'),
  },
  { requiredKeys: [] },
);

const share = fc.constantFrom(0, 0.3, 0.5, 0.95, 1);
const anyLayout = fc.oneof(
  fc.constantFrom(...LAYOUT_KINDS).map((kind) => ({ kind })),
  fc.record({ kind: fc.constant('lead'), leadShare: share, leadCount: fc.constantFrom(1, 2, 9) }),
  fc.record({ kind: fc.constant('middle'), leadShare: share, axis: fc.constantFrom('x', 'y') }),
  fc.record({ kind: fc.constant('single'), strip: fc.constantFrom('none', 'tabs', 'list') }),
  fc.record({ kind: fc.constant('halving'), share, turn: fc.constantFrom('zigzag', 'inward') }),
  fc.record({ kind: fc.constant('columns'), max: fc.constantFrom(1, 2) }),
  fc.record({ kind: fc.constant('board'), whenFull: fc.constantFrom('share', 'stack', 'float') }),
);

const anyMonitor = (name: string) =>
  fc.record(
    {
      id: fc.constant(name),
      width: fc.constantFrom(200, 1_080, 1_920, 3_440),
      height: fc.constantFrom(150, 1_080, 1_440, 2_560),
      scale: fc.constantFrom(0.25, 1, 1.25, 2, 8),
      reserved: fc.record({ top: fc.constantFrom(0, 28, 500) }),
    },
    { requiredKeys: ['id', 'width', 'height'] },
  );

const anyRule = fc.record({
  when: fc.constantFrom(
    { all: [{ of: 'kind', is: 'dialog' }] },
    { all: [{ of: 'title', matches: 'odd' }] },
    { all: [{ of: 'app', is: 'constructor' }] },
    {},
  ),
  then: fc.record(
    {
      held: fc.constantFrom('tiled', 'floating', 'pocketed', 'left-alone'),
      workspace: id,
      monitor: id,
      stayAbove: fc.boolean(),
      everywhere: fc.boolean(),
      focus: fc.boolean(),
      join: fc.constantFrom('end', 'lead', 'after-focused'),
    },
    { requiredKeys: ['held'] },
  ),
  again: fc.record({ title: fc.boolean(), desk: fc.boolean() }),
});

/** Any small profile: up to three monitors, awkward names everywhere. */
export const anyDesk = ids(3, 1).chain((monitors) =>
  fc.record({
    monitors: fc.tuple(...monitors.map(anyMonitor)),
    desks: fc.constantFrom(
      [],
      [
        {
          id: 'all',
          monitors: monitors.map((monitor, i) => ({ monitor, x: i * 4_000, y: i * 100 })),
        },
        { id: 'constructor', monitors: [{ monitor: monitors[0]!, x: 0, y: 0 }] },
      ],
    ),
    workspaces: ids(4).chain((names) =>
      fc.tuple(
        ...names.map((name) =>
          fc.record(
            { id: fc.constant(name), monitor: fc.constantFrom(...monitors) },
            { requiredKeys: ['id'] },
          ),
        ),
      ),
    ),
    apps: ids(3).chain((names) =>
      fc.tuple(...names.map((name) => hints.map((hint) => ({ id: name, ...hint })))),
    ),
    rules: fc
      .array(anyRule, { maxLength: 2 })
      .map((rules) => rules.map((rule, i) => ({ id: `rule-${i}`, ...rule }))),
    boards: fc
      .array(anyBoard, { maxLength: 2 })
      .map((boards) => boards.map((board, i) => ({ ...board, id: i === 0 ? 'constructor' : 'b' }))),
    tiling: fc.record({
      layout: anyLayout,
      gaps: fc.record({
        inner: fc.constantFrom(0, 10, 900),
        outer: fc.constantFrom(0, 6, 900),
        dropWhenAlone: fc.boolean(),
      }),
      whenTooSmall: fc.constantFrom('squeeze', 'float', 'stack'),
      newWindows: fc.constantFrom('end', 'lead', 'after-focused'),
      workspacesAre: fc.constantFrom('per-monitor', 'joined'),
      emptyWorkspaces: fc.constantFrom('kept', 'dropped'),
      missingWorkspaces: fc.constantFrom('made', 'refused'),
      pastLastMonitor: fc.constantFrom('stop', 'wrap'),
    }),
    placing: fc.record({
      onRepeat: fc.constantFrom(...ON_REPEAT),
      onOpposite: fc.constantFrom(...ON_OPPOSITE),
      gaps: fc.boolean(),
      offers: fc.boolean(),
    }),
    floating: fc.record({ grid: fc.constantFrom(0, 16), remember: fc.boolean() }),
  }),
);

/** A window as a session or an event gives it. */
export const anyWindow = fc.record(
  {
    app: id,
    title: fc.constantFrom('odd', 'even', ''),
    parent: fc.constantFrom('w1', 'w2', 'a'),
    held: fc.constantFrom('tiled', 'floating', 'pocketed', 'left-alone'),
    monitor: id,
    workspace: id,
    minimised: fc.boolean(),
    stayAbove: fc.boolean(),
    everywhere: fc.boolean(),
    maximised: fc.boolean(),
    fullScreen: fc.boolean(),
    standing: fc.record({
      x: fc.constantFrom(-900, 0, 700, 90_000),
      y: fc.constantFrom(-900, 0, 700),
      width: fc.constantFrom(1, 300, 5_000),
      height: fc.constantFrom(1, 300, 5_000),
    }),
    min: size,
    resizable: fc.boolean(),
  },
  { requiredKeys: [] },
);

export const anySession = fc.array(anyWindow, { maxLength: 5 }).map((windows) => ({
  windows: windows.map((window, i) => ({ id: `w${i}`, ...window })),
}));
