import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { OFFICE, testDesk, type TestDesk } from '../testing/desk.ts';
import { movesBetween } from './moves.ts';

const before = testDesk(OFFICE, {
  windows: [
    { id: 'p', workspace: 'B' },
    { id: 's', workspace: 'S' },
    { id: 'r', workspace: 'R' },
  ],
  focus: 's',
});
const told = (after: TestDesk) =>
  movesBetween(before, after).map(({ window, from, to, because }) => {
    const shown = to.shown ? 'shown' : 'not shown';
    return `${window}: ${from.monitor} → ${to.monitor}, ${shown}: ${because}`;
  });

describe('what becomes of windows', () => {
  it('is nothing where nothing changes', () => {
    expect(movesBetween(before, before)).toEqual([]);
    expect(told(before.plug('wide', 'tall', 'lap'))).toEqual([]);
  });

  it('is told with the reason: another monitor, another workspace in front, the monitor elsewhere', () => {
    expect(told(before.plug('wide', 'lap'))).toEqual([
      'p: wide → wide, not shown: wide shows another workspace, or nothing',
      's: tall → wide, shown: tall is not there: this is its neighbour',
    ]);
    const monitors = OFFICE.monitors.map((each) => (each.id === 'lap' ? { ...each, x: 0 } : each));
    expect(told(before.edited(profileSchema.parse({ ...OFFICE, monitors })))).toEqual([
      'r: lap → lap, shown: lap was changed',
    ]);
    const opened = before.run({ command: 'go-workspace', which: 'R' }, 'float');
    expect(told(opened)).toEqual(['r: lap → lap, shown: it is floating']);
  });

  it('is told of a monitor that has another scale, though it stands where it stood', () => {
    const monitors = OFFICE.monitors.map((each) =>
      each.id === 'lap' ? { ...each, scale: 1 } : each,
    );
    expect(told(before.edited(profileSchema.parse({ ...OFFICE, monitors })))).toEqual([
      'r: lap → lap, shown: lap was changed',
    ]);
    const room = before.run(
      { command: 'go-workspace', which: 'B' },
      { command: 'open-app', app: 'shell' },
    );
    expect(told(room)).toEqual(['p: wide → wide, shown: it makes room']);
  });

  it('is told of a workspace that is gone', () => {
    const workspaces = OFFICE.workspaces.filter(({ id }) => id !== 'B');
    const [p] = told(before.edited(profileSchema.parse({ ...OFFICE, workspaces })));
    expect(p).toMatch(/^p: wide → wide, (not )?shown: workspace B is gone$/);
  });

  it('is told by the window’s own monitor where workspaces are joined', () => {
    const tiling = { ...OFFICE.tiling, workspacesAre: 'joined' };
    const windows = [
      { id: 'a', monitor: 'tall' },
      { id: 'b', monitor: 'wide' },
    ];
    const joined = testDesk({ ...OFFICE, tiling }, { windows });
    expect(
      movesBetween(joined, joined.plug('wide', 'lap')).map(({ window, because }) => [
        window,
        because,
      ]),
    ).toEqual([
      ['a', 'it was on tall'],
      ['b', 'it makes room'],
    ]);
  });
});
