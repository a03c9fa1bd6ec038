import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk } from '../../testing/desk.ts';

const app = (id: string, more: object = {}) => ({ id: `${id}-1`, app: id, title: id, ...more });
const APPS = [{ id: 'map' }, { id: 'shell' }, { id: 'post' }];
const profile = { ...OFFICE, apps: APPS };
const WINDOWS = [
  app('map'),
  { id: 'shell-1', app: 'shell', title: 'data pull' },
  { id: 'shell-2', app: 'shell', title: 'logs' },
];
const desk = testDesk(profile, { windows: WINDOWS, focus: 'map-1' });
type Desk = typeof desk;
const save = (text: string) => ({ command: 'save-lineup', text }) as const;
const recall = (which: string) => ({ command: 'recall-lineup', which }) as const;
const focus = (text: string) => ({ command: 'find-window', text }) as const;
const go = (which: string) => ({ command: 'go-workspace', which }) as const;
const put = (which: string) => ({ command: 'put-on-workspace', which }) as const;
const close = (now: Desk, ...ids: string[]) =>
  ids.reduce<Desk>((at, id) => at.event({ type: 'window-closed', id }), now);

describe('a lineup', () => {
  const placed = desk.run('place-left', focus('logs'), 'place-right', save('pull'));

  it('brings its windows back from wherever they are, to their places', () => {
    const scattered = placed.run(
      focus('map-1'),
      put('S'),
      focus('logs'),
      'pocket',
      focus('data'),
      'minimise',
      go('R'),
    );
    const back = scattered.run(recall('pull'));
    expect(back.shapes()).toEqual(placed.shapes());
    expect(back.session.shown['wide']).toBe('B');
    expect(back.session.focus).toBe('shell-2');
    expect(back.run('undo').shapes()).toEqual(scattered.shapes());
  });

  it('calls missing apps, and tells two windows of one by title, then by order', () => {
    const gone = close(placed, 'map-1');
    const called = gone.run(recall('pull'));
    expect(called.trace.map(({ decided }) => decided)).toContain('map called');
    expect(called.shapes()['map-2']).toBe(placed.shapes()['map-1']);
    const both = close(placed, 'shell-1', 'shell-2').run(recall('pull'));
    expect(both.at('shell-4').placed).toEqual(placed.at('shell-2').placed);
    const retitled = placed
      .event({ type: 'window-retitled', id: 'shell-1', title: 'logs' })
      .event({ type: 'window-retitled', id: 'shell-2', title: 'data pull' })
      .run(recall('pull'));
    expect(retitled.shapes()['shell-1']).toBe(placed.shapes()['shell-2']);
    expect(retitled.at('shell-2').tile).not.toBeNull();
  });

  it('takes its own windows before others of the same app and title', () => {
    const twins = testDesk(profile, {
      windows: [app('map'), { id: 'map-2', app: 'map', title: 'map' }],
      focus: 'map-2',
    });
    const saved = twins.run('place-left', {
      command: 'put-on-workspace',
      which: '1',
      follow: true,
    });
    const back = saved.run(save('one'), 'put-back', recall('one'));
    expect(back.at('map-2')).toMatchObject({ workspace: '1', placed: { width: 1709 } });
    expect(back.at('map-1').workspace).toBe('B');
  });

  it('brings an arrangement with its layout, its adjustments and its tree by hand', () => {
    const split = desk.run(
      'split-down',
      { command: 'open-app', app: 'post' },
      'grow-up',
      save('tree'),
    );
    const other = close(split.run('next-layout', 'next-layout'), 'post-1');
    const back = other.run(recall('tree'));
    expect(back.shapes()['post-2']).toBe(split.shapes()['post-1']);
    expect(back.at('map-1')).toMatchObject(split.at('map-1'));
  });

  it('brings back how much of the room the lead had', () => {
    const layout = { command: 'use-layout', layout: { kind: 'lead' } } as const;
    const wide = desk.run(layout, 'lead-share-more', 'lead-share-more', save('wide'));
    const other = wide.run('lead-share-less', 'lead-share-less', 'lead-share-less');
    expect(other.shapes()).not.toEqual(wide.shapes());
    expect(other.run(recall('wide')).shapes()).toEqual(wide.shapes());
    // One that was saved before any share was moved has none moved again.
    const plain = desk.run(layout, save('plain'));
    expect(plain.run('lead-share-more', recall('plain')).shapes()).toEqual(plain.shapes());
  });

  it('is let go alone, and undo brings it back where it was', () => {
    const names = ({ session }: Desk) => session.lineups?.map(({ name }) => name);
    const three = desk.run(save('one'), save('two'), save('three'));
    const two = three.run({ command: 'forget-lineup', text: 'two' });
    expect(names(two)).toEqual(['one', 'three']);
    expect(names(two.run('undo'))).toEqual(['one', 'two', 'three']);
  });

  it('is by its share on another monitor, or by the zone of that name', () => {
    const away = placed.plug('lap').run(recall('pull'));
    // Right half of 2856 × 1648 at 292,1500 with a gap of 20.
    expect(away.shapes()['shell-2']).toBe('1730,1500 1418×1648');
    const zoned = desk.run({ command: 'place-in-zone', zone: 'low' }, save('low'));
    const there = zoned.plug('lap').run('put-back', recall('low'));
    expect(there.at('map-1').zones).toEqual(['low']);
    const noBoard = zoned.plug('tall').run('put-back', recall('low'));
    const { at } = noBoard.session.windows.find(({ id }) => id === 'map-1')!.placing!;
    expect(at).toBeDefined();
    // Two columns of four and a third of the height, of 1440 × 2560.
    const { width, height } = noBoard.at('map-1');
    expect([width / 1440, height / 2560].map((share) => Number(share.toFixed(2)))).toEqual([
      Number((2566 / 3440).toFixed(2)),
      Number((463 / 1412).toFixed(2)),
    ]);
  });

  it('on a board keeps the zones, whoever took them since', () => {
    const board = testDesk(
      { ...profile, tiling: { layout: { kind: 'board' } } },
      { windows: WINDOWS, focus: 'map-1' },
    ).run(save('zones'));
    const moved = board.run(
      { command: 'place-in-zone', zone: 'right' },
      {
        command: 'open-app',
        app: 'post',
      },
    );
    expect(moved.at('post-1').zones).toEqual(['left']);
    const back = moved.run(recall('zones'));
    expect(back.at('map-1').zones).toEqual(['left']);
    expect(back.at('shell-1').zones).toEqual(['middle']);
  });

  it('of a name that is not there is told with the nearest', () => {
    expect(placed.run(recall('pul')).trace[0]?.because).toBe(
      'no lineup is called pul; the nearest is pull',
    );
    const forgotten = placed.run({ command: 'forget-lineup', text: 'Pull' });
    expect(forgotten.session.lineups).toBeUndefined();
    expect(forgotten.run('undo').session.lineups).toHaveLength(1);
    expect(testDesk(profile).run(save('x')).trace[0]?.because).toMatch(/no windows to save/);
  });
});

describe('the windows placed together last', () => {
  it('are a lineup without being saved', () => {
    const two = desk.run('place-left', { command: 'pick', keys: '1' });
    const back = two.run('put-back', focus('logs'), 'put-back', go('S'), recall('last'));
    expect(back.shapes()).toEqual(two.shapes());
    expect(desk.run(recall('last')).trace[0]?.because).toBe('no windows were placed together yet');
  });

  it('stay those when one alone is placed after', () => {
    const two = desk.run('place-left', { command: 'pick', keys: '1' });
    const apart = two.run('put-back', focus('logs'), 'put-back', focus('data'), 'place-up');
    const ids = apart.session.together?.windows.map(({ id }) => id).sort();
    expect(ids).toEqual(two.session.together?.windows.map(({ id }) => id).sort());
  });
});

it('a lineup brings back the order of its tiles, and the focus where it was', () => {
  const saved = desk.run(focus('data'), save('three'));
  const other = saved.run('swap-with-lead', focus('logs'), 'move-earlier');
  expect(other.shapes()).not.toEqual(saved.shapes());
  const back = other.run(recall('three'));
  expect(back.shapes()).toEqual(saved.shapes());
  expect(back.session.focus).toBe('shell-1');
  // A window that was not of the lineup had the focus then: the first of it has it now.
  expect(saved.session.focus).toBe('shell-1');
});

it('a lineup saved while something else has the focus gives it to its first window', () => {
  const other = testDesk(profile, {
    windows: [
      ...WINDOWS,
      { id: 'o', held: 'left-alone', standing: { x: 9, y: 40, width: 90, height: 90 } },
    ],
    focus: 'o',
  });
  const back = other.run(save('all'), focus('logs'), recall('all'));
  expect(back.session.focus).toBe('map-1');
});

it('a window of a lineup floats where it floated then, and floats there again from its tile', () => {
  const floated = desk.run('float', 'nudge-left', 'nudge-up');
  const saved = floated.run(save('afloat'));
  const moved = saved.run('nudge-down', 'nudge-down', 'nudge-right', 'nudge-right');
  expect(moved.shapes()).not.toEqual(saved.shapes());
  expect(moved.run(recall('afloat')).shapes()).toEqual(saved.shapes());
  const tiled = moved.run('float', focus('logs'), recall('afloat'));
  expect(tiled.shapes()).toEqual(saved.shapes());
});
