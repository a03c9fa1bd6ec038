import { describe, expect, it } from 'vitest';
import { sessionSchema, windowSchema } from './session.ts';
import { isIn, largenessOf, modeField, modeOf, withMode, withoutLargeness } from './window-mode.ts';

const NAMES = ['maximised', 'full-screen', 'minimised'] as const;
/** Every set of modes, by whether each of them holds. */
const SETS = Array.from({ length: 8 }, (_, i) => NAMES.filter((_name, bit) => i & (1 << bit)));
interface Plain {
  id: string;
  mode?: Parameters<typeof modeOf>[0]['mode'] & object;
}
const windowIn = (names: readonly (typeof NAMES)[number][]) =>
  names.reduce<Plain>((window, name) => withMode(window, name, true), { id: 'w' });

describe('the mode of a window', () => {
  it('is the last that holds, with the others beneath it, in whatever order they came', () => {
    for (const names of SETS) {
      const window = windowIn(names);
      expect(windowIn([...names].reverse())).toEqual(window);
      expect(NAMES.filter((name) => isIn(window, name))).toEqual(names);
      expect(modeOf(window)).toBe(names.at(-1) ?? null);
      const large = names.filter((name) => name !== 'minimised');
      expect(largenessOf(window)).toBe(large.at(-1) ?? null);
      if (window.mode) expect(modeField.parse(window.mode)).toEqual(window.mode);
      else expect(window).toEqual({ id: 'w' });
    }
  });

  it('goes on and off by itself', () => {
    for (const names of SETS)
      for (const name of NAMES) {
        const window = windowIn(names);
        const others = names.filter((other) => other !== name);
        expect(withMode(window, name, false)).toEqual(windowIn(others));
        expect(withMode(window, name, true)).toEqual(windowIn([...others, name]));
      }
  });

  it('without largeness is minimised at most', () => {
    for (const names of SETS) {
      const isMinimised = names.includes('minimised');
      expect(withoutLargeness(windowIn(names))).toEqual(windowIn(isMinimised ? ['minimised'] : []));
    }
  });

  it('cannot lie over one that comes after it', () => {
    const over = { as: 'full-screen', over: { as: 'minimised' } };
    expect(modeField.safeParse(over).success).toBe(false);
    expect(
      windowSchema.safeParse({ id: 'w', mode: { as: 'large' } }).error?.issues[0]?.message,
    ).toBe('maximised, full-screen or minimised');
  });

  it('is read of flags, as windows had them, also of steps; a fault in them is told', () => {
    const flags = { maximised: true, fullScreen: true, minimised: true };
    const mode = { as: 'minimised', over: { as: 'full-screen', over: { as: 'maximised' } } };
    const step = { command: 'float', windows: { w: { maximised: true, fullScreen: false } } };
    const session = sessionSchema.parse({
      windows: [{ id: 'w', ...flags }],
      past: [{ ...step, arrangements: {}, shown: {}, focusMonitor: 'm' }],
    });
    expect(session.windows[0]?.mode).toEqual(mode);
    expect(session.past[0]?.windows['w']).toEqual({ held: 'tiled', mode: { as: 'maximised' } });
    expect(windowSchema.parse({ id: 'w', minimised: false })).toEqual({ id: 'w', kind: 'normal' });
    expect(windowSchema.safeParse({ id: 'w', maximised: 'yes' }).success).toBe(false);
  });
});
