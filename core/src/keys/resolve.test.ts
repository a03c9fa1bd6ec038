import { describe, expect, it } from 'vitest';
import { does, enter, profileWith, run } from '../testing/keys.ts';
import { resolveKey } from './resolve.ts';
import type { Interaction } from '../model/interaction.ts';
import { IDLE, isIdle, nextTime } from './state.ts';
import { keyTable } from './table.ts';

describe('chords', () => {
  const profile = profileWith([
    { keys: 'Main+KeyL', command: does('float'), release: does('centre') },
    { keys: 'Main+types:?', command: does('undo') },
    { keys: 'types:g', command: does('redo') },
    { keys: 'KeyP', command: does('pocket'), app: 'notes' },
    { keys: 'KeyP', command: does('promote') },
    { keys: 'Button4', command: does('close') },
  ]);

  it('run on press, again on repeat, and on release', () => {
    expect(run(profile, '0 +MetaLeft 9 +KeyL 400 ~KeyL 500 -KeyL 520 -MetaLeft').steps).toEqual([
      'float',
      'float again',
      'up, centre (release)',
    ]);
  });

  it('are found with the stand-in, and by nothing more or less than their modifiers', () => {
    expect(run(profile, '0 +AltLeft 9 +KeyL').steps).toEqual(['float']);
    expect(run(profile, '0 +MetaLeft 5 +ShiftLeft 9 +KeyL').steps).toEqual([
      'none Shift+Meta+KeyL',
    ]);
    expect(run(profile, '0 +KeyL').steps).toEqual(['none KeyL']);
  });

  it('are found by what the key types, whatever place it has', () => {
    expect(run(profile, '0 +KeyG').steps).toEqual(['redo']);
    expect(run(profile, '0 +MetaLeft 3 +KeyG').steps).toEqual(['none Meta+KeyG']);
  });

  it('limited to an app come first there, and not elsewhere', () => {
    expect(run(profile, '0 +KeyP', null, 'notes').steps).toEqual(['pocket']);
    expect(run(profile, '0 +KeyP', null, 'shell').steps).toEqual(['promote']);
  });

  it('may be a button', () => {
    expect(run(profile, '0 +Button4 60 -Button4').steps).toEqual(['close', 'up']);
  });

  it('whose release was lost run anew when the key goes down without having come up', () => {
    expect(run(profile, '0 +MetaLeft 1 +KeyL 900 +KeyL').steps).toEqual([
      'float',
      'up, centre (release), float',
    ]);
  });

  it('give way to the layer of what is under way on the desk', () => {
    const shaping = profileWith([{ keys: 'KeyL', command: does('redo') }]);
    expect(
      run(shaping, '0 +KeyL', { kind: 'shaping', window: 'a', by: 'grow', steps: 0 }).steps,
    ).toEqual(['shape-step']);
    expect(run(shaping, '0 +KeyL').steps).toEqual(['redo']);
  });
});

describe('a key that stands in for the main modifier', () => {
  const profile = profileWith(
    [
      { keys: 'Main+Shift+KeyL', command: does('float') },
      { keys: 'Main+Alt+KeyL', command: does('undo') },
    ],
    { standIn: 'AltRight' },
  );

  it('is not what it is by itself, whatever else is held', () => {
    expect(run(profile, '0 +ShiftLeft 5 +AltRight 9 +KeyL').steps).toEqual(['float']);
    expect(run(profile, '0 +AltRight 5 +ShiftLeft 9 +KeyL').steps).toEqual(['float']);
    expect(run(profile, '0 +AltLeft 5 +AltRight 9 +KeyL').steps).toEqual(['undo']);
    expect(run(profile, '0 +ShiftLeft 3 +AltLeft 5 +AltRight 9 +KeyL').steps).toEqual([
      'none Alt+Shift+Meta+KeyL',
    ]);
  });
});

describe('sequences', () => {
  const profile = profileWith(
    [
      { keys: 'Main+KeyK KeyS', command: does('float') },
      { keys: 'Main+KeyK Main+KeyD KeyF', command: does('undo') },
      { keys: 'KeyD', command: does('redo') },
    ],
    { sequenceMs: 500 },
  );

  it('wait for the next press, modifiers not counted, and end with the last', () => {
    expect(run(profile, '0 +MetaLeft 1 +KeyK 50 -KeyK 60 -MetaLeft 400 +KeyS').steps).toEqual([
      '…',
      'float',
    ]);
    expect(run(profile, '0 +MetaLeft 1 +KeyK 300 +KeyD 310 -MetaLeft 700 +KeyF').steps).toEqual([
      '…',
      'undo',
    ]);
  });

  it('are dropped when the time is over, or another key comes, which counts by itself', () => {
    const late = run(profile, '0 +MetaLeft 1 +KeyK 9 -MetaLeft 501 +KeyS');
    expect(late.steps).toEqual(['…', '×, none KeyS']);
    expect(run(profile, '0 +MetaLeft 1 +KeyK 9 -MetaLeft 90 +KeyD').steps).toEqual([
      '…',
      '×, redo',
    ]);
    const begun = run(profile, '0 +MetaLeft 1 +KeyK').state;
    expect(nextTime(begun)).toBe(501);
  });

  it('end with Escape, which does nothing else then', () => {
    const { steps, state } = run(
      profile,
      '0 +MetaLeft 1 +KeyK 5 -KeyK 9 -MetaLeft 90 +Escape 120 -Escape',
    );
    expect(steps).toEqual(['…', '×']);
    expect(state).toEqual(IDLE);
  });
});

describe('tap-hold keys', () => {
  const profile = profileWith(
    [
      { keys: 'tap Space', command: does('float') },
      { keys: 'hold Space', command: enter('while') },
      { keys: 'KeyJ', command: does('focus-left'), in: 'while' },
      { keys: 'KeyJ', command: does('redo') },
      { keys: 'tap CapsLock', command: does('undo') },
      { keys: 'Caps+KeyU', command: does('pocket') },
      { keys: 'tap MetaLeft', command: does('launch') },
      { keys: 'Main+KeyQ', command: does('close') },
    ],
    {
      holdMs: 200,
      bundles: [{ id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt', 'Shift', 'Meta'] }],
    },
  );

  it('are tapped when they come up in time', () => {
    expect(run(profile, '0 +Space 199 -Space').steps).toEqual(['float (tap)']);
    expect(run(profile, '0 +MetaLeft 150 -MetaLeft').steps).toEqual(['asks launch']);
  });

  it('are held when their time is over, and let go of what they held', () => {
    expect(run(profile, '0 +Space 300 +KeyJ 340 -KeyJ 400 -Space').steps).toEqual([
      '+while, focus-left',
      'up',
      'up, -while',
    ]);
  });

  it('are held when another key is pressed and let go while they are down', () => {
    expect(run(profile, '0 +Space 40 +KeyJ 80 -KeyJ 100 -Space').steps).toEqual([
      '+while, focus-left, up',
      'up, -while',
    ]);
  });

  it('are tapped before what was pressed meanwhile, when two keys roll over', () => {
    expect(run(profile, '0 +Space 40 +KeyJ 80 -Space 120 -KeyJ').steps).toEqual([
      'float (tap), redo',
      'up',
    ]);
  });

  it('stand for a bundle while they are held', () => {
    expect(run(profile, '0 +CapsLock 30 +KeyU 60 -KeyU 90 -CapsLock').steps).toEqual([
      'pocket, up',
    ]);
    expect(run(profile, '0 +CapsLock 90 -CapsLock').steps).toEqual(['undo (tap)']);
  });

  it('that are modifiers are held with any other key', () => {
    expect(run(profile, '0 +MetaLeft 20 +KeyQ 40 -MetaLeft').steps).toEqual(['close']);
  });

  it('do nothing more on repeat', () => {
    expect(run(profile, '0 +Space 150 ~Space 180 ~Space 190 -Space').steps).toEqual([
      'float (tap)',
    ]);
  });

  it('while it is not known what they are, no other key repeats', () => {
    expect(run(profile, '0 +KeyJ 9 +Space 90 ~KeyJ 120 -Space 150 ~KeyJ').steps).toEqual([
      'redo',
      'float (tap)',
      'redo again',
    ]);
  });

  it('do on release what they are to do there, tapped or held', () => {
    const released = profileWith([
      { keys: 'tap KeyA', command: does('float'), release: does('centre') },
      { keys: 'hold KeyA', command: does('close'), release: does('undo') },
      { keys: 'tap KeyB', release: does('redo') },
    ]);
    expect(run(released, '0 +KeyA 90 -KeyA').steps).toEqual(['float (tap), centre (release)']);
    expect(run(released, '0 +KeyA 900 -KeyA').steps).toEqual(['close (hold), up, undo (release)']);
    expect(run(released, '0 +KeyB 90 -KeyB').steps).toEqual(['redo (release)']);
  });

  it('tapped, they leave a layer that they entered', () => {
    const entering = profileWith([
      { keys: 'tap KeyA', command: enter('while') },
      { keys: 'KeyJ', command: does('float'), in: 'while' },
      { keys: 'KeyJ', command: does('redo') },
    ]);
    expect(run(entering, '0 +KeyA 90 -KeyA 200 +KeyJ').state.layers).toEqual([]);
  });

  it('a key that means nothing is down as that alone', () => {
    const { state } = run(profile, '0 +KeyZ');
    expect(state.down.map(({ code, role }) => [code, role])).toEqual([['KeyZ', 'unbound']]);
  });

  it('with both keys of the stand-in are the main modifier and that one itself', () => {
    const both = profileWith([
      { keys: 'Main+KeyA', command: does('float') },
      { keys: 'Main+Alt+KeyA', command: does('close') },
    ]);
    expect(run(both, '0 +AltLeft 5 +AltRight 9 +KeyA').steps).toEqual(['close']);
    expect(run(both, '0 +AltRight 5 +AltLeft 9 +KeyA').steps).toEqual(['close']);
    expect(run(both, '0 +AltLeft 5 +AltRight 7 -AltRight 9 +KeyA').steps).toEqual(['float']);
    // Where the main modifier itself is pressed, there is nothing to stand in for.
    expect(run(both, '0 +MetaLeft 5 +AltLeft 9 +KeyA').steps).toEqual(['close']);
  });

  it('with a key as the stand-in keep all modifiers free', () => {
    const right = profileWith([{ keys: 'Main+Alt+KeyA', command: does('float') }], {
      standIn: 'AltRight',
    });
    expect(run(right, '0 +AltRight 5 +KeyA').steps).toEqual(['none Meta+KeyA']);
    expect(run(right, '0 +AltRight 5 +AltLeft 9 +KeyA').steps).toEqual(['float']);
  });
});

describe('sequences with the main modifier still down', () => {
  const profile = profileWith([
    { keys: 'Main+Space KeyS', command: does('float') },
    { keys: 'Main+Space Shift+KeyS', command: does('close') },
    { keys: 'Main+Backslash KeyL', command: does('pocket') },
    { keys: 'Main+Backslash Main+KeyL', command: does('undo') },
    { keys: 'Main+KeyS', command: does('redo') },
  ]);

  it('go on as without it', () => {
    expect(run(profile, '0 +MetaLeft 5 +Space 9 -MetaLeft 15 +KeyS').steps).toEqual(['…', 'float']);
    expect(run(profile, '0 +MetaLeft 5 +Space 15 +KeyS').steps).toEqual(['…', 'float']);
    expect(run(profile, '0 +AltLeft 5 +Space 15 +KeyS').steps).toEqual(['…', 'float']);
    expect(run(profile, '0 +MetaLeft 5 +Space 9 +ShiftLeft 15 +KeyS').steps).toEqual([
      '…',
      'close',
    ]);
  });

  it('but come after those that name it', () => {
    expect(run(profile, '0 +MetaLeft 5 +Backslash 15 +KeyL').steps).toEqual(['…', 'undo']);
    expect(run(profile, '0 +MetaLeft 5 +Backslash 9 -MetaLeft 15 +KeyL').steps).toEqual([
      '…',
      'pocket',
    ]);
    // A press of its own takes no modifier away.
    expect(run(profile, '0 +MetaLeft 5 +KeyS').steps).toEqual(['redo']);
  });
});

describe('layers', () => {
  const profile = profileWith([
    { keys: 'Main+KeyG', command: enter('stay') },
    { keys: 'Main+KeyO', command: enter('one') },
    { keys: 'Main+KeyW', command: enter('while') },
    { keys: 'KeyJ', command: does('focus-left'), in: 'stay' },
    { keys: 'KeyX', command: { command: 'leave-layer' }, in: 'stay' },
    { keys: 'KeyJ', command: does('float'), in: 'one' },
    { keys: 'KeyJ', command: does('undo'), in: 'while' },
    { keys: 'KeyB', command: does('redo') },
  ]);
  const G = '0 +MetaLeft 1 +KeyG 2 -KeyG 3 -MetaLeft';
  const O = '0 +MetaLeft 1 +KeyO 2 -KeyO 3 -MetaLeft';

  it('stay until they are left, and let other keys through', () => {
    const { steps, state } = run(profile, `${G} 9 +KeyJ 10 +KeyB 11 +KeyX 12 +KeyJ`);
    expect(steps).toEqual(['+stay', 'up', 'focus-left', 'redo', '-stay', 'up, none KeyJ']);
    expect(isIdle(state)).toBe(true);
  });

  it('for once go after one command, or a key that does nothing', () => {
    expect(run(profile, `${O} 9 +KeyJ`).steps).toEqual(['+one', 'up', 'float, -one']);
    expect(run(profile, `${O} 9 +KeyV`).steps).toEqual(['+one', 'up', 'none KeyV, -one']);
  });

  it('that are held go with the key that entered them', () => {
    expect(run(profile, '0 +MetaLeft 1 +KeyW 3 -MetaLeft 9 +KeyJ 10 -KeyJ 20 -KeyW').steps).toEqual(
      ['+while', 'undo', 'up', 'up, -while'],
    );
  });

  it('are left by an Escape that is bound, too: its own release is told when it comes up', () => {
    const bound = profileWith(
      [
        { keys: 'Caps+Escape', command: does('float'), release: does('centre') },
        { keys: 'KeyB', command: does('redo') },
      ],
      { bundles: [{ id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt'] }] },
    );
    const { steps, state } = run(bound, '0 +KeyB 1 +CapsLock 2 +Escape 9 -KeyB 30 -Escape');
    expect(steps).toEqual(['redo', 'float, up', 'up, centre (release)']);
    expect(state).toEqual(IDLE);
  });

  it('are all left by Escape, and when the focus is lost', () => {
    expect(run(profile, `${G} 4 +MetaLeft 5 +KeyO 6 -MetaLeft 7 +Escape`).steps.slice(2)).toEqual([
      '+one',
      'up, -one, -stay',
    ]);
    const lost = run(profile, '0 +MetaLeft 1 +KeyW 2 !');
    expect(lost.steps).toEqual(['+while', 'lost, -while']);
    expect(lost.state).toEqual(IDLE);
  });
});

describe('keys that answer what is under way', () => {
  const profile = profileWith([
    { keys: 'Main+KeyJ', command: does('place-left') },
    { keys: 'Main+KeyU', command: does('clear-while-pressed') },
    { keys: 'Main+Tab', command: does('switch-window') },
    { keys: 'Enter', command: does('float') },
    { keys: 'Main+Slash', command: does('find-window') },
    { keys: 'Main+KeyN', command: { command: 'find-window', text: 'notes' } },
  ]);
  const previewing = { kind: 'previewing', command: { command: 'place-left' } } as const;
  const switching = { kind: 'switching' as const, among: ['a', 'b'], at: 1 } satisfies Interaction;
  const mode = { kind: 'choosing-mode', mode: 'one' } as const;
  const asking = { kind: 'corner-pick', typed: 'b', goOn: false, asksKeys: true } as const;
  const bare = { kind: 'bare-desktop', whilePressed: true } as const;

  it('take a placing when any key is let go, and drop it by Escape or when the page is left', () => {
    expect(run(profile, '0 -KeyJ', previewing).steps).toEqual(['taken']);
    expect(run(profile, '0 +Escape 20 -KeyK', previewing).steps).toEqual(['dropped', 'taken']);
    expect(run(profile, '0 +MetaLeft 1 +KeyJ 9 !', previewing).steps).toEqual([
      'place-left',
      'dropped, lost',
    ]);
  });

  it('take a choice when a modifier is let go, not when its key is', () => {
    expect(run(profile, '0 -Tab', switching).steps).toEqual([]);
    expect(run(profile, '0 -MetaLeft', switching).steps).toEqual(['taken']);
    expect(run(profile, '0 -Tab 1 -AltLeft', mode).steps).toEqual(['taken']);
    expect(run(profile, '0 +Enter', mode).steps).toEqual(['taken']);
    expect(run(profile, '0 +Enter', switching).steps).toEqual(['float']);
    expect(run(profile, '0 +Escape', mode).steps).toEqual(['dropped']);
  });

  it('open a chosen app by Enter, drop it by Escape, and keep it when a key is let go', () => {
    const choosing = { kind: 'choosing-app', at: 1 } as const;
    expect(run(profile, '0 +Enter', choosing).steps).toEqual(['taken']);
    expect(run(profile, '0 +Escape', choosing).steps).toEqual(['dropped']);
    expect(run(profile, '0 -MetaLeft', choosing).steps).toEqual([]);
  });

  it('show windows again when a key is let go that cleared the desktop', () => {
    expect(run(profile, '0 -KeyU', bare).steps).toEqual(['taken']);
    expect(run(profile, '0 -KeyU', { ...bare, whilePressed: false }).steps).toEqual([]);
  });

  it('do once, while they stay down, what lasts as long; others again and again', () => {
    const down = '0 +MetaLeft 1 +KeyU 300 ~KeyU';
    expect(run(profile, down).steps).toEqual(['clear-while-pressed']);
    expect(run(profile, '0 +MetaLeft 1 +KeyJ 300 ~KeyJ', previewing).steps).toEqual(['place-left']);
    expect(run(profile, '0 +MetaLeft 1 +Tab 300 ~Tab').steps).toEqual([
      'switch-window',
      'switch-window again',
    ]);
  });

  it('are the keys that were asked for, or none with Escape', () => {
    const keysOf = (list: string) => {
      const context = { table: keyTable(profile), interaction: asking, app: null };
      return list.split(' ').flatMap((code, i) => {
        const input = { type: 'down', at: i, code, modifiers: ['Meta'] } as const;
        return resolveKey(IDLE, input, context).out.map(
          (each) => each.type === 'command' && each.command,
        );
      });
    };
    expect(keysOf('MetaLeft Tab')).toEqual([{ command: 'bind-block', keys: 'Main+Tab' }]);
    expect(run(profile, '0 +Escape', asking).steps).toEqual(['pick-back']);
    expect(run(profile, '0 ~KeyB', asking).steps).toEqual([]);
  });

  it('ask for what is not said with a command', () => {
    expect(run(profile, '0 +MetaLeft 1 +Slash').steps).toEqual(['asks find-window']);
    expect(run(profile, '0 +MetaLeft 1 +KeyN').steps).toEqual(['find-window']);
  });
});
