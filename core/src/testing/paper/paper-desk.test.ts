import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Command } from '../../commands/registry.ts';
import { testDesk, type TestDesk } from '../desk.ts';
import { onePart, TIMEOUT } from '../fuzz/desk-runs.ts';
import { PAPER, PaperDesk } from './paper-desk.ts';

const profile = {
  monitors: PAPER.monitors.map((id, i) => ({
    id,
    x: i * PAPER.width,
    y: 0,
    width: PAPER.width,
    height: PAPER.height,
    reserved: { top: PAPER.reserved },
  })),
  workspaces: Object.entries(PAPER.workspaces).map(([id, monitor]) => ({ id, monitor })),
  apps: ['p', 'q', 'r'].map((id) => ({ id })),
  tiling: { layout: { kind: 'columns' }, gaps: { inner: 0, outer: 0 } },
};

type Said = readonly [command: string, said?: string];

const workspace = fc.constantFrom(
  ...Object.keys(PAPER.workspaces),
  '1',
  'next',
  'previous',
  'last',
);
const anything: fc.Arbitrary<Said> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.constantFrom('p', 'q', 'r').map((app): Said => ['open-app', app]),
  },
  {
    weight: 1,
    arbitrary: fc.constantFrom('p', 'q', 'r').map((app): Said => ['call-app', app]),
  },
  { weight: 1, arbitrary: fc.constantFrom<Said[]>(['plug', 'm'], ['plug', 'n'], ['plug', 'mn']) },
  {
    weight: 1,
    arbitrary: fc.constantFrom<Said[]>(['switch', '1'], ['switch', '22'], ['drop', '1']),
  },
  {
    weight: 12,
    arbitrary: fc.constantFrom<Said[]>(
      ['focus-left'],
      ['focus-right'],
      ['focus-next'],
      ['focus-previous'],
      ['focus-last'],
      ['move-left'],
      ['move-right'],
      ['move-earlier'],
      ['move-later'],
      ['promote'],
      ['swap-with-lead'],
      ['swap-with-lead'],
      ['go-monitor'],
      ['put-on-monitor'],
      ['leave-on-monitor'],
      ['put-workspace-on-monitor'],
      ['float'],
      ['float'],
      ['float-all'],
      ['float-all'],
      ['place-at'],
      ['put-back'],
      ['stay-above'],
      ['everywhere'],
      ['maximise'],
      ['full-screen'],
      ['minimise'],
      ['minimise'],
      ['restore-last'],
      ['pocket'],
      ['call-back'],
      ['call-back'],
      ['close'],
      ['new-workspace'],
      ['close-workspace'],
      ['next-of-app'],
      ['show-desktop'],
      ['undo'],
      ['undo'],
      ['undo'],
      ['redo'],
      ['redo'],
    ),
  },
  {
    weight: 3,
    arbitrary: fc
      .tuple(fc.constantFrom('go-workspace', 'put-on-workspace', 'follow-to-workspace'), workspace)
      .map((said): Said => said),
  },
);

/** What is done on both desks. */
function done(desk: TestDesk, paper: PaperDesk, said: Said): TestDesk {
  const [what, how = ''] = said;
  if (what === 'plug') {
    paper.plug([...how]);
    return desk.plug(...how);
  }
  if (what === 'switch' || what === 'drop') {
    const taken = what === 'switch';
    paper.switchWindow(how.length, taken);
    let now = desk;
    for (let i = 0; i < how.length; i++)
      now = now.event({ type: 'key-pressed', command: { command: 'switch-window' } });
    return now.event({ type: 'key-released', taken });
  }
  paper.run(...said);
  return desk.run(commandOf(said));
}

function commandOf([command, said]: Said): Command {
  switch (command) {
    case 'open-app':
    case 'call-app':
      return { command, app: said! };
    case 'go-workspace':
      return { command, which: said! };
    case 'put-on-workspace':
      return { command, which: said!, follow: false };
    case 'follow-to-workspace':
      return { command: 'put-on-workspace', which: said!, follow: true };
    case 'put-on-monitor':
      return { command, which: 'next' };
    case 'leave-on-monitor':
      return { command: 'put-on-monitor', which: 'next', follow: false };
    case 'place-at':
      return { command, x: { start: '1/2' }, y: { start: '1/2' } } as Command;
    case 'go-monitor':
    case 'put-workspace-on-monitor':
      return { command, which: 'next' };
    default:
      return { command } as Command;
  }
}

/** True where the paper desk tells what comes: where floating windows stand, it does not know. */
function isTold(paper: PaperDesk, [command]: Said): boolean {
  if (/^(focus|move)-(left|right)$/.test(command)) return !paper.hasFloatingInSight;
  // A monitor without a workspace gets one that is made up.
  if (command === 'put-workspace-on-monitor') return paper.atHomeHere > 1;
  if (command === 'close-workspace') return paper.atHomeHere > 1;
  return true;
}

const seenOn = (desk: TestDesk) => ({
  windows: Object.fromEntries(
    desk.placed().placements.map((placement) => {
      const { id, workspace, monitor, held, shown, tile, state, x, y, width, height } = placement;
      const isAway = state === 'minimised' || held === 'pocketed';
      const hasRect = !isAway && (tile !== null || state !== undefined);
      const isPlaced = !isAway && placement.placed !== undefined;
      return [
        id,
        {
          workspace,
          monitor,
          held,
          shown,
          isPlaced,
          rect: hasRect ? { x, y, width, height } : null,
        },
      ];
    }),
  ),
  focus: desk.session.focus ?? null,
  focusMonitor: desk.session.focusMonitor,
  shown: desk.session.shown,
});

const expectedOf = (paper: PaperDesk) => ({
  windows: Object.fromEntries(paper.ids.map((id) => [id, paper.placement(id)])),
  focus: paper.focus,
  focusMonitor: paper.focusMonitor,
  shown: paper.shown,
});

describe('the engine is held to a desk on paper', () => {
  it('after any commands, every window is where the paper says', TIMEOUT, () => {
    fc.assert(
      fc.property(fc.array(anything, { minLength: 10, maxLength: 60 }), (all) => {
        let desk = testDesk(profile);
        const paper = new PaperDesk();
        for (const said of all) {
          if (!isTold(paper, said)) continue;
          desk = done(desk, paper, said);
          expect(seenOn(desk)).toEqual(expectedOf(paper));
        }
      }),
      onePart(0),
    );
  });
});
