import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { testDesk, type TestDesk } from '../testing/desk.ts';
import { read } from '../values/faults.ts';

const monitor = { id: 'm', width: 1920, height: 1080 };
/** What the schema makes of a session that was written. */
const reread = ({ session }: TestDesk) => sessionSchema.parse(JSON.parse(JSON.stringify(session)));

describe('a window in the pocket that is minimised, too', () => {
  const desk = testDesk(
    {
      monitors: [monitor],
      rules: [{ id: 'r', when: {}, then: { held: 'pocketed' } }],
    },
    { windows: [{ id: 'a', minimised: true }] },
  );

  it('is not restored into the focus, and no key that moves it throws', () => {
    const tried = desk.run('restore-last', 'nudge-up', 'grow-left', 'place-right', 'shrink-left');
    expect(tried.session.focus).toBeUndefined();
    expect(desk.run('restore-last').trace[0]!.because).toBe('no window is minimised');
    const back = desk.run('call-back');
    expect(back.session.focus).toBe('a');
    expect(back.at('a').shown).toBe(true);
  });
});

describe('sizes and places as they are kept', () => {
  it('are at least a pixel, however small the scale', () => {
    const desk = testDesk(
      { monitors: [{ ...monitor, scale: 0.25 }] },
      { windows: [{ id: 'a', held: 'floating', preferred: { width: 1, height: 1 } }] },
    );
    expect(desk.at('a')).toMatchObject({ width: 1, height: 1 });
    expect(reread(desk).windows).toHaveLength(1);
  });

  it('are taken by the schema, however large a window asks to be and however far out its monitor is', () => {
    const large = { width: 100_000, height: 100_000 };
    const desk = testDesk(
      {
        monitors: Array.from({ length: 32 }, (_, i) => ({
          id: `m${i}`,
          width: 100_000,
          height: 100_000,
          scale: 8,
        })),
      },
      {
        windows: [
          { id: 'a', monitor: 'm31', min: large, preferred: large, held: 'floating' },
          { id: 'b', monitor: 'm31', min: large, preferred: large },
        ],
        focus: 'b',
      },
    );
    const moved = desk.run('float', 'bigger', 'bigger', 'place-left', 'smaller', 'grow-right');
    expect(reread(moved)).toEqual(JSON.parse(JSON.stringify(moved.session)));
  });
});

describe('ids that name members of every object', () => {
  const odd = ['constructor', 'toString', 'hasOwnProperty', 'valueOf'];
  const desk = testDesk({
    monitors: odd.slice(0, 2).map((id) => ({ ...monitor, id })),
    workspaces: odd.map((id) => ({ id })),
    apps: odd.map((id) => ({ id })),
    boards: [
      {
        id: 'constructor',
        columns: [1, 1],
        rows: [1],
        zones: [
          { name: '__proto__', columns: [1, 1], rows: [1, 1] },
          { name: 'toString', columns: [2, 2], rows: [1, 1] },
        ],
        for: {},
      },
    ],
    tiling: { layout: { kind: 'board' } },
  });

  it('are ids as any other: of apps, monitors, workspaces, boards and windows', () => {
    const open = (app: string) => ({ command: 'open-app', app }) as const;
    const opened = desk.run(open('constructor'), open('constructor'), open('toString'));
    expect(opened.session.windows.map(({ id }) => id)).toEqual([
      'constructor-1',
      'constructor-2',
      'toString-1',
    ]);
    expect(opened.at('constructor-1').zones).toEqual(['__proto__']);
    expect(opened.at('constructor-2').zones).toEqual(['toString']);
    const there = opened.run(
      { command: 'go-workspace', which: 'valueOf' },
      'undo',
      'pause',
      'resume',
    );
    expect(reread(there)).toEqual(JSON.parse(JSON.stringify(there.session)));
    const windows = testDesk({ monitors: [monitor] }, { windows: odd.map((id) => ({ id })) });
    expect(windows.run('float', 'undo', 'redo').session.windows).toHaveLength(4);
  });

  it('but for the one that no record can keep, which is refused in words', () => {
    expect(read(profileSchema, { monitors: [{ ...monitor, id: '__proto__' }] })).toMatchObject({
      ok: false,
      faults: [{ path: 'monitors[0].id', expected: 'a name other than __proto__' }],
    });
  });
});
