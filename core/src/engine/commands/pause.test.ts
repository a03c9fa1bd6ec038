import { describe, expect, it } from 'vitest';
import { windowSchema } from '../../model/session.ts';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';

const desk = testDesk(OFFICE, { ...windows('p', 'b', 's'), focus: 'p' });
const opens = (id: string, x: number, y: number) =>
  ({
    type: 'window-opened',
    window: windowSchema.parse({ id, standing: { x, y, width: 400, height: 300 } }),
  }) as const;

describe('pause and resume', () => {
  it('keep every window where it stands, and every arrangement', () => {
    const paused = desk.run('lead-share-more', 'pause');
    expect(paused.shapes()).toEqual(desk.run('lead-share-more').shapes());
    expect(paused.at('p')).toMatchObject({ held: 'tiled', tile: null });
    expect(paused.run('resume').session.arrangements).toEqual(paused.session.arrangements);
    expect(paused.run('resume').shapes()).toEqual(paused.shapes());
  });

  it('move nothing when windows open and close, and adopt the new ones in reading order', () => {
    const paused = desk.run('pause');
    const changed = paused
      .event(opens('low', 100, 900))
      .event(opens('right', 2000, 200))
      .event(opens('left', 50, 200))
      .event({ type: 'window-closed', id: 'b' });
    expect(changed.shapes()).toMatchObject({ p: '6,34 1982×1400', s: '1998,739 1436×695' });
    const back = changed.run('resume');
    expect(back.session.arrangements['B/wide']!.order).toEqual(['p', 's', 'left', 'right', 'low']);
    expect(back.trace[0]?.because).toContain('3 opened meanwhile join it');
    expect(back.at('p').width).toBe(1982);
  });

  it('lets a window have what it asks for, and takes it back', () => {
    const asked = desk
      .run('pause')
      .event({ type: 'window-asked', id: 'p', rect: { x: 500, width: 700 } });
    expect(asked.shapes()['p']).toBe('500,34 700×1400');
    expect(asked.run('resume').shapes()).toEqual(desk.shapes());
    const tiled = desk.event({ type: 'window-asked', id: 'p', rect: { width: 700 } });
    expect(tiled.trace[0]?.because).toBe('its tile decides where it is and how large');
  });

  it('lets steps wait, and visits go on', () => {
    const paused = desk.run('pause');
    for (const command of ['float', 'move-left', 'undo', 'shape', 'maximise'] as const) {
      const waits = paused.run(command);
      expect(waits.trace[0]?.because).toBe('the engine is paused; resume comes first');
      expect(waits.session).toBe(paused.session);
    }
    expect(paused.run('focus-right').session.focus).toBe('s');
    expect(paused.run('pause').trace[0]?.because).toBe('the engine is paused already');
    expect(desk.run('resume').trace[0]?.because).toBe('the engine runs already');
  });
});
