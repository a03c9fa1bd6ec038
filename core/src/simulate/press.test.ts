import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { OFFICE } from '../testing/desk.ts';
import { play, scriptSchema, type Script } from './script.ts';

const does = (command: string) => ({ command });
const profile = profileSchema.parse({
  ...OFFICE,
  keys: {
    from: 'none',
    layers: [{ id: 'far', lasts: 'held' }],
    bindings: [
      { keys: 'Main+KeyJ', command: does('place-left') },
      { keys: 'Main+KeyH', command: does('corner-pick') },
      { keys: 'Main+KeyS', command: does('shape') },
      { keys: 'Main+KeyF', command: does('find-window') },
      { keys: 'Main+KeyK KeyT', command: does('float') },
      { keys: 'Main+KeyZ', command: does('undo') },
      { keys: 'tap Space', command: does('minimise') },
      { keys: 'hold Space', command: { command: 'enter-layer', layer: 'far' } },
      { keys: 'KeyJ', command: does('maximise'), in: 'far' },
      { keys: 'types:g', command: does('pocket') },
    ],
  },
});
const session = {
  windows: [
    { id: 'p', workspace: 'B' },
    { id: 'q', workspace: 'B' },
  ],
  focus: 'p',
};

const played = (...steps: unknown[]) =>
  play(profile, scriptSchema.parse({ session, steps }) as Script).slice(1);
const windowIn = (step: { placements: readonly { id: string }[] } | undefined, id = 'p') => {
  const placement = step?.placements.find((each) => each.id === id);
  if (!placement) throw new Error(`no ${id}`);
  return placement as (typeof step & object)['placements'][number] & Record<string, unknown>;
};

describe('a press in a script', () => {
  it('does what its command does: keys as a profile writes them, let go again', () => {
    const [byKey, , undone] = played({ press: 'Main+KeyJ' }, { mark: 'm' }, { press: 'Main+KeyZ' });
    const [byCommand] = played('place-left');
    expect(byKey?.placements).toEqual(byCommand?.placements);
    expect(byKey?.reasons.map(({ decided }) => decided)).toContain('outlined');
    expect(undone?.placements).toEqual(
      play(profile, scriptSchema.parse({ session, steps: [] }) as Script)[0]?.placements,
    );
  });

  it('outlines while keys are down, over several steps; Escape drops it', () => {
    const [down, still, dropped] = played(
      {
        press: [
          { down: 'MetaLeft' },
          { down: 'KeyJ' },
          { wait: 300 },
          { down: 'KeyJ', repeat: true },
        ],
      },
      { press: [{ wait: 1000 }] },
      { press: [{ down: 'Escape' }, { up: 'Escape' }, { up: 'KeyJ' }, { up: 'MetaLeft' }] },
    );
    expect(windowIn(down)).toMatchObject({ held: 'tiled' });
    expect(down?.reasons).toHaveLength(1);
    expect(still?.reasons).toEqual([]);
    expect(dropped?.reasons[0]?.because).toBe('the choice is dropped');
    expect(windowIn(dropped)).toMatchObject({ held: 'tiled' });
  });

  it('is tapped or held by the time between, also where only time decides', () => {
    const [alone] = played({ press: [{ down: 'Space' }, { wait: 500 }] });
    expect(alone?.reasons.map(({ decided }) => decided)).toEqual(['entered far']);
    const [tapped] = played({ press: 'tap Space' });
    expect(windowIn(tapped)).toMatchObject({ state: 'minimised' });
    const [held] = played({
      press: [{ down: 'Space' }, { wait: 500 }, { down: 'KeyJ' }, { up: 'KeyJ' }],
    });
    expect(held?.reasons.map(({ decided }) => decided)).toEqual([
      'entered far',
      'outlined',
      'maximised',
    ]);
    expect(windowIn(held)).toMatchObject({ state: 'maximised' });
  });

  it('goes on with a sequence within its time alone', () => {
    expect(windowIn(played({ press: 'Main+KeyK KeyT' })[0])).toMatchObject({ held: 'floating' });
    const [begun, late] = played(
      { press: 'Main+KeyK' },
      { press: [{ wait: 2000 }, { down: 'KeyT' }] },
    );
    expect(begun?.reasons).toEqual([]);
    expect(late?.reasons.map(({ because }) => because)).toEqual([
      'the next key did not come in time',
      'nothing is bound to KeyT',
    ]);
  });

  it('shapes, picks, and puts a block on keys, which then are bound', () => {
    const [, grown, taken] = played(
      { press: 'Main+KeyS' },
      { press: 'ArrowRight' },
      { press: 'Enter' },
    );
    expect(windowIn(grown)['width']).toBeGreaterThan(
      windowIn(played('resume')[0])['width'] as number,
    );
    expect(taken?.reasons[0]?.decided).toBe('shaping taken');
    const pick = ['Main+KeyH', 'KeyB', 'KeyD', 'Period', 'Main+KeyJ', 'Main+KeyB', 'Escape'];
    const steps = played(...pick.map((press) => ({ press })), { press: 'Main+KeyB' }, 'undo');
    expect(steps[4]?.reasons[0]?.because).toBe('Meta J does place-left already: press another');
    expect(steps[5]?.reasons[0]?.decided).toBe('Meta B places a window there');
    const [placed] = played({ command: 'place-at', x: { from: 2, to: 4, of: 11 } });
    expect(windowIn(steps[7])).toEqual(windowIn(placed));
  });

  it('tells of keys that do nothing, lists that ask, and where the keyboard went elsewhere', () => {
    const why = (step: unknown) => played(step)[0]?.reasons.map(({ because }) => because);
    expect(why({ press: 'KeyX' })).toEqual(['nothing is bound to KeyX']);
    expect(why({ press: 'Main+KeyF' })).toEqual(['find-window asks for its text']);
    expect(why({ press: [{ down: 'MetaLeft' }, { down: 'KeyJ' }, { leave: true }] })?.[1]).toBe(
      'the choice is dropped',
    );
    expect(windowIn(played({ press: 'types:g' })[0])).toMatchObject({ held: 'pocketed' });
  });

  it('is refused with its path where it is none', () => {
    const faults = (press: unknown) =>
      scriptSchema
        .safeParse([{ press }])
        .error?.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
    expect(faults('Main+KeyÄ')?.[0]).toMatch(/^0\.press: the code of a key/);
    expect(faults([{ down: 'KeyLL' }])?.[0]).toMatch(/^0\.press\.0\.down: the UI Events code/);
    expect(faults([{ wait: 0 }])?.[0]).toMatch(/^0\.press\.0\.wait:/);
  });
});
