import { describe, expect, it } from 'vitest';
import { testDesk } from '../testing/desk.ts';
import { place } from './place.ts';

describe('when minimums cannot all be met', () => {
  const desk = (whenTooSmall: string) =>
    testDesk(
      {
        monitors: [{ id: 'm', width: 1000, height: 600 }],
        tiling: { layout: { kind: 'columns' }, whenTooSmall },
      },
      {
        windows: [
          { id: 'a', min: { width: 400, height: 10 } },
          { id: 'b', min: { width: 400, height: 10 }, preferred: { width: 300, height: 200 } },
          { id: 'c', min: { width: 300, height: 10 }, preferred: { width: 320, height: 240 } },
        ],
        focus: 'a',
      },
    );

  it('squeeze keeps them all in tiles', () => {
    expect(desk('squeeze').shapes()).toEqual({
      a: '0,0 333×600',
      b: '333,0 334×600',
      c: '667,0 333×600',
    });
  });

  it('float takes out the one opened last, until the rest fits', () => {
    const floating = desk('float');
    expect(floating.shapes()).toEqual({
      a: '0,0 500×600',
      b: '500,0 500×600',
      c: '340,180 320×240',
    });
    expect(floating.at('c')).toMatchObject({ held: 'floating', tile: null, shown: true });
    const { findings } = place(floating.session, floating.profile);
    expect(findings).toEqual([
      { kind: 'no-tile', window: 'c', workspace: '1', monitor: 'm', now: 'float' },
    ]);
    const roomAgain = floating.run('close');
    expect(roomAgain.shapes()).toEqual({ b: '0,0 500×600', c: '500,0 500×600' });
    expect(roomAgain.at('c').held).toBe('tiled');
  });

  it('goes by when they opened, not by their order', () => {
    const moved = desk('float').run('move-later');
    expect(moved.at('c').held).toBe('floating');
    expect([moved.at('b').x, moved.at('a').x]).toEqual([0, 500]);
  });

  it('stack puts it beneath the last tile, where the focused one is on top', () => {
    const stacked = desk('stack');
    expect(stacked.at('c')).toMatchObject({
      held: 'tiled',
      shown: false,
      tile: { x: 500, y: 0, width: 500, height: 600 },
    });
    expect(stacked.at('b').shown).toBe(true);
    const turned = stacked.run('focus-previous');
    expect(turned.session.focus).toBe('c');
    expect([turned.at('c').shown, turned.at('b').shown]).toEqual([true, false]);
  });

  it('leaves one window with a tile, however small', () => {
    const one = testDesk(
      { monitors: [{ id: 'm', width: 100, height: 100 }], tiling: { whenTooSmall: 'float' } },
      { windows: [{ id: 'a', min: { width: 500, height: 10 } }, { id: 'b' }] },
    );
    expect(one.at('a')).toMatchObject({ held: 'tiled', width: 100 });
    expect(place(one.session, one.profile).findings.map(({ kind }) => kind)).toEqual([
      'squeeze',
      'no-tile',
    ]);
  });

  it('is set by place', () => {
    const profile = {
      monitors: [{ id: 'm', width: 500, height: 500 }],
      tiling: { whenTooSmall: 'float', places: [{ monitor: 'm', whenTooSmall: 'squeeze' }] },
    };
    const session = {
      windows: [
        { id: 'a', min: { width: 400, height: 10 } },
        { id: 'b', min: { width: 400, height: 10 } },
      ],
    };
    const { at } = testDesk(profile, session);
    expect([at('a').held, at('b').held]).toEqual(['tiled', 'tiled']);
  });
});
