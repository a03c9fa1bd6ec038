// @vitest-environment jsdom
import { profileSchema, sessionSchema } from '@sorn/core/model';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createProfileStore } from '../../state/profile-store.ts';
import { choicesFor, usePicker } from './picker.ts';
import { takeInput, usePresses } from './presses.ts';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

function opened(bindings: unknown[], more: object = {}) {
  const profile = profileSchema.parse({
    name: 'Desk',
    monitors: [{ id: 'main', width: 1920, height: 1080 }],
    apps: [
      { id: 'maps', name: 'Slope Maps' },
      { id: 'post', name: 'Post' },
    ],
    keys: { bindings },
    ...more,
  });
  const session = sessionSchema.parse({
    windows: [
      { id: 'a', app: 'maps', title: 'North face' },
      { id: 'b', app: 'post' },
    ],
    focus: 'a',
  });
  const store = createProfileStore(
    { id: 'desk', revision: 1, savedAt: '2026-03-02T08:00:00Z', profile },
    { revision: 1, session },
    'here',
  );
  const down = (code: string, caps = [code]) =>
    takeInput(
      store,
      { type: 'down', at: performance.now(), code, key: code, modifiers: [], repeat: false },
      caps,
    );
  const up = (code: string) => takeInput(store, { type: 'up', at: performance.now(), code }, []);
  const log = () => store.getState().log.map(({ text }) => text);
  return { store, down, up, log, session: () => store.getState().session };
}

describe('keys of the sheet', () => {
  it('do what they are bound to, and one that is bound to nothing is told', () => {
    const { down, session, log, store } = opened([
      { keys: 'F2', command: { command: 'focus-right' } },
    ]);
    down('F2');
    expect(session().focus).toBe('b');
    down('F9');
    expect(log()).toEqual(['focus-right', 'no command']);
    expect(store.getState().effort.presses).toBeGreaterThan(0);
  });

  it('wait for the second press of a sequence, tell what can follow, and drop it by another', () => {
    const { down, session, store, log } = opened([
      { keys: 'F2 KeyR', command: { command: 'focus-right' } },
    ]);
    down('F2');
    const next = () =>
      usePresses
        .of(store)
        .getState()
        .next?.next.map(({ keys }) => keys);
    expect(next()).toEqual(['KeyR']);
    down('KeyR');
    expect([session().focus, next()]).toEqual(['b', undefined]);
    down('F2');
    down('F9');
    // The other key is then a key of its own.
    expect(log().slice(-2)).toEqual(['sequence', 'no command']);
  });

  it('open the list of what a command asks for, which the command then goes on with', () => {
    const { down, store } = opened([{ keys: 'F2', command: { command: 'find-window' } }]);
    down('F2');
    expect(usePicker.of(store).getState()).toMatchObject({
      kind: 'find-window',
      by: { keys: 'F2', command: 'find-window' },
    });
  });
});

describe('the lists over the sheet', () => {
  it('of windows narrow to what is typed, and say where they are', () => {
    const { store } = opened([]);
    const names = (typed: string) =>
      choicesFor('find-window', store.getState(), typed).map(({ name, detail }) => [name, detail]);
    expect(names('').length).toBe(2);
    expect(names('north')).toEqual([['Slope Maps', 'North face · workspace 1']]);
    expect(names('zzz')).toEqual([]);
  });

  it('of lineups offer what is typed as a new name, and an old one to be replaced', () => {
    const { store } = opened([]);
    store.getState().run({ command: 'save-lineup', text: 'Morning' });
    const names = (kind: 'save-lineup' | 'recall-lineup', typed: string) =>
      choicesFor(kind, store.getState(), typed).map(({ name, detail }) => `${name}: ${detail}`);
    expect(names('save-lineup', 'Morning')).toEqual([
      'Morning: replace it: 2 windows, workspace 1',
    ]);
    expect(names('save-lineup', 'Morn')[0]).toBe('Morn: a lineup of this workspace');
    expect(names('recall-lineup', 'morn')).toEqual(['Morning: 2 windows, workspace 1']);
  });
});
