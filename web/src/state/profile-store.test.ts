import { profileSchema, sessionSchema, type Profile } from '@sorn/core/model';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createProfileStore } from './profile-store.ts';
import type { Draft } from './drafts.ts';

const PROFILE = profileSchema.parse({
  name: 'Desk',
  monitors: [
    { id: 'left', width: 1920, height: 1080 },
    { id: 'right', x: 1920, width: 1280, height: 1024 },
  ],
  workspaces: [
    { id: '1', monitor: 'left' },
    { id: '2', monitor: 'right' },
  ],
  tiling: { gaps: { inner: 10, outer: 6 } },
});
const SESSION = sessionSchema.parse({ windows: [{ id: 'a' }, { id: 'b' }] });

let stored: Map<string, string>;
beforeEach(() => {
  stored = new Map();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => void stored.set(key, value),
    removeItem: (key: string) => void stored.delete(key),
  });
  vi.useFakeTimers();
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

/** The machine that the page is served from. */
const HOST = 'tower';

function opened(otherwise: object = {}) {
  const profile = profileSchema.parse({ ...PROFILE, ...otherwise });
  const kept = { id: 'desk', revision: 4, savedAt: '2026-03-02T08:00:00Z', profile };
  const store = createProfileStore(kept, { revision: 2, session: SESSION }, HOST);
  return { store, now: store.getState };
}
const growStep = (value: number) => (profile: Profile) => ({
  ...profile,
  tiling: { ...profile.tiling, growStep: value },
});
const step = (profile: Profile) => profile.tiling.growStep;

describe('edits of the profile', () => {
  it('are gone back over and forth again, one step each', () => {
    const { now } = opened();
    now().edit(growStep(50));
    now().edit(growStep(60));
    now().undoEdit();
    expect(step(now().profile)).toBe(50);
    now().undoEdit();
    expect([step(now().profile), now().past.length]).toEqual([40, 0]);
    now().redoEdit();
    now().redoEdit();
    expect([step(now().profile), now().future.length]).toEqual([60, 0]);
  });

  it('that change nothing are none', () => {
    const { now } = opened();
    now().edit((profile) => structuredClone(profile));
    expect(now().past).toEqual([]);
  });

  it('of one figure soon after each other are one step, and two where it took longer', () => {
    const { now } = opened();
    for (const value of [41, 42, 43]) now().edit(growStep(value), 'step');
    expect(now().past).toHaveLength(1);
    vi.advanceTimersByTime(2_000);
    now().edit(growStep(44), 'step');
    now().edit(growStep(45), 'another');
    expect(now().past).toHaveLength(3);
    now().undoEdit();
    now().undoEdit();
    expect(step(now().profile)).toBe(43);
  });

  it('of what this machine has otherwise are for it alone, and all are gone back over as they were written', () => {
    const { now } = opened({ machines: [{ host: HOST, main: 'Alt' }] });
    const main = () => [now().profile.keys.main, now().written.keys.main];
    const set = (key: 'Ctrl' | 'Shift') => (profile: Profile) => ({
      ...growStep(50)(profile),
      keys: { ...profile.keys, main: key },
    });
    expect(main()).toEqual(['Alt', 'Meta']);
    now().edit(set('Ctrl'));
    expect([...main(), step(now().written)]).toEqual(['Ctrl', 'Meta', 50]);
    expect(now().written.machines).toEqual([{ host: HOST, main: 'Ctrl', monitors: [] }]);
    now().editWritten((written) => ({ ...written, machines: [] }));
    expect(main()).toEqual(['Meta', 'Meta']);
    now().edit(set('Shift'), '', true);
    expect(main()).toEqual(['Shift', 'Meta']);
    for (const expected of ['Meta', 'Ctrl', 'Alt']) {
      now().undoEdit();
      expect(main()).toEqual([expected, 'Meta']);
    }
    expect([step(now().profile), now().past.length]).toEqual([40, 0]);
  });

  it('of a group are one step, however long they take', () => {
    const { now } = opened();
    const end = now().groupEdits();
    now().edit(growStep(50));
    vi.advanceTimersByTime(60_000);
    now().edit(growStep(60));
    end(false);
    now().edit(growStep(70));
    now().undoEdit();
    expect(step(now().profile)).toBe(60);
    now().undoEdit();
    expect(step(now().profile)).toBe(40);
  });

  it('of a group that is dropped are taken back, and what could be redone still can', () => {
    const { now } = opened();
    now().edit(growStep(50));
    now().undoEdit();
    const end = now().groupEdits();
    now().edit(growStep(60));
    now().edit(growStep(61));
    end(true);
    expect([step(now().profile), now().past.length]).toEqual([40, 0]);
    now().redoEdit();
    expect(step(now().profile)).toBe(50);
    // A group in which nothing was edited takes nothing back.
    now().groupEdits()(true);
    expect(step(now().profile)).toBe(50);
  });

  it('of a group that is dropped leave the desk as it was, unless something happened meanwhile', () => {
    const { now } = opened();
    const before = now();
    const end = now().groupEdits();
    now().edit((profile) => ({ ...profile, monitors: profile.monitors.slice(0, 1) }));
    expect(now().session).not.toBe(before.session);
    end(true);
    expect([now().session, now().moments, now().profile]).toEqual([
      before.session,
      before.moments,
      before.profile,
    ]);
    const endAgain = now().groupEdits();
    now().edit(growStep(60));
    now().run({ command: 'focus-next' });
    endAgain(true);
    expect([step(now().profile), now().session.focus]).toEqual([40, 'a']);
  });

  it('of a group are saved when it ends, and not at all where it is dropped', () => {
    const { now } = opened();
    const dropped = now().groupEdits();
    now().edit(growStep(60));
    dropped(true);
    expect(now().saves.profile.kind).toBe('saved');
    const taken = now().groupEdits();
    now().edit(growStep(60));
    expect(now().saves.profile.kind).toBe('saved');
    taken(false);
    expect(now().saves.profile.kind).toBe('waiting');
  });

  it('are heard of once, with the desk as it is by them', () => {
    const { store, now } = opened();
    const heard: string[] = [];
    store.subscribe((state, before) => {
      if (state.profile !== before.profile) heard.push(String(state.session !== before.session));
    });
    now().edit(growStep(50));
    expect(heard).toHaveLength(1);
    now().edit((profile) => ({ ...profile, monitors: profile.monitors.slice(0, 1) }));
    expect(heard.at(-1)).toBe('true');
  });
});

describe('what happens on the desk', () => {
  it('is logged with its keys, and counted where it came by them', () => {
    const { now } = opened();
    now().run({ command: 'focus-previous' }, ['Meta', '←']);
    expect(now().log.at(-1)).toMatchObject({ caps: ['Meta', '←'], text: 'focus-previous' });
    const { presses } = now().effort;
    expect(presses).toBe(2);
    now().run({ command: 'focus-next' });
    expect(now().effort.presses).toBe(presses);
    now().note(['Meta', 'x'], 'no command', 'nothing is bound to it');
    expect(now().log.at(-1)!.trace[0]!.because).toBe('nothing is bound to it');
    expect(now().effort.presses).toBe(4);
  });

  it('is a time line that can be looked back on, and gone on from', () => {
    const { now } = opened();
    const focus = () => now().session.focus;
    const first = focus();
    now().run({ command: 'focus-previous' });
    const second = focus();
    expect(second).not.toBe(first);
    now().lookAt(0);
    expect([focus(), now().looking]).toEqual([first, 0]);
    // An edit made meanwhile is one of the present.
    now().lookAt(now().moments.length - 1);
    expect([focus(), now().looking]).toEqual([second, null]);
    now().lookAt(0);
    now().goOnFromHere();
    expect([focus(), now().looking]).toEqual([first, null]);
    expect(now().moments.at(-1)!.text).toBe('back to opened');
  });

  it('to what is connected is gone back over among the edits, in their order', () => {
    const { now } = opened();
    now().edit(growStep(50));
    now().connect({ type: 'monitors-changed', connected: ['left'], byHand: true }, 'pull it');
    now().edit(growStep(60));
    now().undoEdit();
    expect([step(now().profile), now().session.connected]).toEqual([50, ['left']]);
    now().undoEdit();
    expect(now().session.connected).not.toEqual(['left']);
    now().undoEdit();
    expect(step(now().profile)).toBe(40);
    now().redoEdit();
    now().redoEdit();
    expect(now().session.connected).toEqual(['left']);
  });
});

describe('what a former visit could not save', () => {
  const draft = (of: Draft) => stored.set('sorn.draft.desk', JSON.stringify(of));

  it('is taken up, and saved from where it began', () => {
    draft({ profile: { value: { profile: growStep(77)(PROFILE), text: null }, base: 4 } });
    const { now } = opened();
    expect(step(now().profile)).toBe(77);
  });

  it('is left where it cannot be read', () => {
    draft({ profile: { value: { profile: { name: 7 } }, base: 4 } });
    expect(step(opened().now().profile)).toBe(40);
    stored.set('sorn.draft.desk', '{');
    expect(step(opened().now().profile)).toBe(40);
  });
});
